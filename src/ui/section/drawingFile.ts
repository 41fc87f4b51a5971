/** A drawing that stands alone, with its size in px. */
export interface DrawingFile {
  readonly text: string;
  readonly width: number;
  readonly height: number;
}

/** What a drawing takes from the page's style sheet, written into the file. */
const TAKEN = ["fill", "stroke", "stroke-width", "stroke-dasharray", "stroke-opacity", "fill-opacity", "font-size", "font-weight"] as const;

const DRAWN: ReadonlySet<string> = new Set(["path", "rect", "circle", "text", "tspan"]);

/** A drawing of the page as a file of its own: hatches inside, colours and type written out, its words as its description. */
export function svgFile(drawn: SVGSVGElement): DrawingFile {
  const { width, height } = drawn.viewBox.baseVal;
  const copy = drawn.cloneNode(true) as SVGSVGElement;
  const originals = [...drawn.querySelectorAll<SVGElement>("*")];
  [...copy.querySelectorAll<SVGElement>("*")].forEach((element, i) => {
    const style = getComputedStyle(originals[i] as SVGElement);
    for (const name of DRAWN.has(element.tagName) ? TAKEN : []) {
      const value = style.getPropertyValue(name);
      if (value) element.setAttribute(name, value.replace(/url\("?[^"#]*#([^")]+)"?\)/, "url(#$1)"));
    }
    for (const name of ["class", "style", "tabindex", "role", "aria-pressed"]) element.removeAttribute(name);
  });
  const defs = document.createElementNS("http://www.w3.org/2000/svg", "defs");
  defs.append(...patternsIn(copy).map((pattern) => pattern.cloneNode(true)));
  copy.prepend(ground(width, height), defs);
  copy.removeAttribute("class");
  copy.setAttribute("width", String(width));
  copy.setAttribute("height", String(height));
  copy.setAttribute("color", getComputedStyle(drawn).color);
  copy.setAttribute("font-family", "'Archivo', 'Arial Narrow', sans-serif");
  return { text: new XMLSerializer().serializeToString(copy), width, height };
}

/** The hatches that a drawing names, with those that they are made of. */
function patternsIn(drawing: SVGSVGElement): Element[] {
  const named = [...drawing.querySelectorAll("[fill^='url(#']")].map(
    (element) => /#([^)]+)\)/.exec(element.getAttribute("fill") ?? "")?.[1],
  );
  const found = new Map<string, Element>();
  const take = (id: string | undefined) => {
    const pattern = id && !found.has(id) ? document.getElementById(id) : null;
    if (!id || !pattern) return;
    found.set(id, pattern);
    take(pattern.getAttribute("href")?.slice(1));
  };
  named.forEach(take);
  return [...found.values()];
}

function ground(width: number, height: number): SVGRectElement {
  const rect = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  rect.setAttribute("width", String(width));
  rect.setAttribute("height", String(height));
  rect.setAttribute("fill", getComputedStyle(document.body).backgroundColor);
  return rect;
}

/** Pixels of the picture for one of the drawing: sharp in print at 300 dots to the inch. */
const FINE = 3;

/** A drawing as PNG. @throws {Error} where the browser can't draw it */
export async function pngOf({ text, width, height }: DrawingFile): Promise<Blob> {
  const url = URL.createObjectURL(new Blob([text], { type: "image/svg+xml" }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement("canvas");
    canvas.width = width * FINE;
    canvas.height = height * FINE;
    canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/png"));
    if (!png) throw new Error("the browser made no picture");
    return png;
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** Hands a file to the browser to be saved. */
export function saveBlob(blob: Blob, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
