import { createWriteStream } from "node:fs";
import { createInterface } from "node:readline";
import { Readable, type Writable } from "node:stream";
import { pipeline } from "node:stream/promises";
import yauzl from "yauzl";
import { ZipFile } from "yazl";

/** Writes a zip, entry by entry: a picture is fetched when its turn has come, and let go after it. */
export class ZipWriter {
  private readonly zip = new ZipFile();
  private readonly written: Promise<void>;
  private failed: Error | undefined;

  constructor(to: string | Writable) {
    const target = typeof to === "string" ? createWriteStream(to) : to;
    this.written = pipeline(this.zip.outputStream as unknown as Readable, target);
    // told again where the writing is waited for
    this.written.catch((error: Error) => {
      this.failed ??= error;
    });
    // what can't be fetched ends what was begun: half a zip is never taken for a whole one
    this.zip.on("error", (error: Error) => {
      this.failed ??= error;
      target.destroy(error);
    });
  }

  text(name: string, content: string): void {
    this.zip.addBuffer(Buffer.from(content), name);
  }

  /** Text that is known only when its turn has come. */
  later(name: string, content: () => string): void {
    this.stream(name, true, async () => Readable.from([content()]));
  }

  /** Lines that are fetched while they are written. */
  lines(name: string, fetch: () => AsyncIterable<string>): void {
    this.stream(name, true, async () => Readable.from(ended(fetch())));
  }

  /** Pictures are packed already: they are stored as they are, slice by slice. */
  picture(name: string, fetch: () => AsyncIterable<Buffer>): void {
    this.stream(name, false, async () => Readable.from(fetch()));
  }

  private stream(name: string, compress: boolean, open: () => Promise<Readable>): void {
    const fail = (error: Error) => {
      this.failed ??= error;
    };
    this.zip.addReadStreamLazy(name, { compress }, (give) => {
      open().then(
        (content) => give(null, content.on("error", fail)),
        (error: Error) => {
          fail(error);
          give(error, Readable.from([]));
        },
      );
    });
  }

  async end(): Promise<void> {
    this.zip.end();
    await this.written;
    if (this.failed) throw this.failed;
  }
}

async function* ended(lines: AsyncIterable<string>): AsyncGenerator<string> {
  for await (const line of lines) yield `${line}\n`;
}

/** Reads entries of a zip by their names, one at a time. */
export class ZipReader {
  private constructor(
    private readonly zip: yauzl.ZipFile,
    private readonly entries: ReadonlyMap<string, yauzl.Entry>,
  ) {}

  /** @throws {Error} when the file is no zip */
  static open(file: string): Promise<ZipReader> {
    return new Promise((resolve, reject) => {
      yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, zip) => {
        if (error) return reject(error);
        const entries = new Map<string, yauzl.Entry>();
        zip.on("entry", (entry: yauzl.Entry) => {
          entries.set(entry.fileName, entry);
          zip.readEntry();
        });
        zip.on("end", () => resolve(new ZipReader(zip, entries)));
        zip.on("error", reject);
        zip.readEntry();
      });
    });
  }

  get names(): string[] {
    return [...this.entries.keys()];
  }

  /** The bytes of an entry; undefined where there is none. @throws {RangeError} when it is larger than `most` */
  async bytes(name: string, most: number): Promise<Buffer | undefined> {
    const entry = this.entries.get(name);
    if (!entry) return undefined;
    if (entry.uncompressedSize > most) throw new RangeError(`${name} has ${entry.uncompressedSize} bytes, more than ${most}`);
    const chunks: Buffer[] = [];
    for await (const chunk of await this.stream(entry)) chunks.push(chunk as Buffer);
    return Buffer.concat(chunks);
  }

  /** The lines of an entry, one after the other; none where there is no such entry. */
  async *lines(name: string): AsyncGenerator<string> {
    const entry = this.entries.get(name);
    if (!entry) return;
    for await (const line of createInterface({ input: await this.stream(entry), crlfDelay: Infinity })) if (line !== "") yield line;
  }

  close(): void {
    this.zip.close();
  }

  private stream(entry: yauzl.Entry): Promise<Readable> {
    return new Promise((resolve, reject) => {
      this.zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream)));
    });
  }
}
