import { atRest, readScaleLine } from "@/core/mix/weighing";
import type { Scale, ScaleEvent } from "./scale";

/** As much of the browser's serial interface as is used here. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
}
interface Serial {
  requestPort(): Promise<SerialPort>;
}

export interface SerialSettings {
  readonly baud: number;
  /** It marks what has come to rest; else four equal readings do. */
  readonly marks_rest: boolean;
}

export const BAUDS = [1200, 2400, 4800, 9600, 19_200] as const;

/** Whether this browser reaches a cable at all. */
export const hasSerial = (): boolean => "serial" in navigator;

/** A scale on a cable that sends its readings by itself, line by line. Taring is reckoned here: not every scale listens. */
export function serialScale({ baud, marks_rest }: SerialSettings, step_g: number): Scale {
  let zero = 0;
  let last: number[] = [];
  const told = (line: string): ScaleEvent => {
    const read = readScaleLine(line);
    if (!read.ok) return { kind: "trouble", words: read.words };
    const { g, stable } = read.reading;
    last = [...last.slice(-3), g];
    return { kind: "reading", g: g - zero, stable: marks_rest ? stable : atRest(last, step_g) };
  };
  return {
    name: `scale on a cable, ${baud} baud`,
    open: async (tell) => {
      const { serial } = navigator as unknown as { serial?: Serial };
      if (!serial) throw new Error("This browser reaches no cable. Type the grams, or open the page in one that does.");
      const port = await serial.requestPort().catch(() => undefined);
      if (!port) throw new Error("No scale was chosen.");
      await port.open({ baudRate: baud }).catch(() => Promise.reject(new Error("The cable can’t be opened: another program may hold it.")));
      const reader = port.readable?.getReader();
      void listen(reader, (line) => tell(told(line))).finally(() => tell({ kind: "lost" }));
      return () => void reader?.cancel().finally(() => port.close());
    },
    tare: () => {
      zero = last.at(-1) ?? 0;
    },
  };
}

/** Longest line that is waited for: what never ends is no scale. */
const MOST_LETTERS = 200;

/** Calls with each whole line until nothing more comes. */
export async function listen(
  reader: Pick<ReadableStreamDefaultReader<Uint8Array>, "read"> | undefined,
  line: (text: string) => void,
): Promise<void> {
  const decoder = new TextDecoder("ascii");
  let rest = "";
  for (let chunk = await reader?.read(); chunk && !chunk.done; chunk = await reader?.read()) {
    const [...lines] = `${rest}${decoder.decode(chunk.value, { stream: true })}`.split(/\r\n|\r|\n/);
    rest = (lines.pop() ?? "").slice(-MOST_LETTERS);
    for (const each of lines) if (each.trim() !== "") line(each);
  }
}
