import sharp from "sharp";

/** A made-up "photograph": the object on grey cloth, lit from the left, with its damage. */
export async function picture(drawing: string): Promise<Buffer> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="960" height="720" viewBox="0 0 960 720">
    <defs>
      <linearGradient id="cloth" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#aeb4b2"/><stop offset="1" stop-color="#74807d"/></linearGradient>
      <linearGradient id="clay" x1="0" y1="0" x2="1" y2="0"><stop offset="0" stop-color="#c9b799"/><stop offset=".45" stop-color="#a98f6c"/><stop offset="1" stop-color="#5f4d38"/></linearGradient>
      <linearGradient id="white" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#f7f4ec"/><stop offset="1" stop-color="#b9b4a6"/></linearGradient>
      <linearGradient id="wood" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#b98a55"/><stop offset="1" stop-color="#6b4322"/></linearGradient>
      <linearGradient id="metal" x1="0" y1="0" x2="1" y2="0"><stop offset="0" stop-color="#d5d8da"/><stop offset=".5" stop-color="#9aa0a4"/><stop offset="1" stop-color="#5a6064"/></linearGradient>
      <linearGradient id="skin" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#8d2f2a"/><stop offset="1" stop-color="#4d1513"/></linearGradient>
      <linearGradient id="black" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#4a4a4e"/><stop offset=".5" stop-color="#1b1b1e"/><stop offset="1" stop-color="#0c0c0e"/></linearGradient>
    </defs>
    <rect width="960" height="720" fill="url(#cloth)"/>
    <ellipse cx="520" cy="620" rx="340" ry="46" fill="#3c4644" opacity=".45"/>
    ${drawing}
  </svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 74 }).toBuffer();
}

const jar = (
  chip: string,
) => `<path d="M340 130h280l-8 60c90 40 140 130 140 220 0 110-50 170-110 210H318c-60-40-110-100-110-210 0-90 50-180 140-220z" fill="url(#clay)"/>
  <path d="M232 330c160 30 336 30 496 0M220 430c160 34 360 34 520 0" stroke="#3e2f20" stroke-width="10" fill="none"/><ellipse cx="480" cy="130" rx="140" ry="30" fill="#3a2c1e"/>${chip}`;

/** One drawing a piece: before, and where it is closed also after. */
export const DRAWINGS: Readonly<Record<string, string>> = {
  jar: jar('<path d="M540 104q40 46 74 34l6-10q-30-22-80-24z" fill="#e8dcc6"/>'),
  board: `<rect x="170" y="120" width="620" height="470" rx="10" fill="url(#wood)"/><path d="M190 140h580v430H190z" fill="none" stroke="#7d2f22" stroke-width="12"/>
  ${[0, 1, 2, 3].map((i) => `<circle cx="${280 + i * 134}" cy="270" r="13" fill="#1e130a"/><circle cx="${280 + i * 134}" cy="440" r="13" fill="#1e130a"/>`).join("")}`,
  practice: jar('<path d="M380 106q30 54 70 36l8-38z" fill="#e8dcc6"/>'),
  relief:
    '<path d="M200 110h560v330L640 600H200z" fill="url(#white)"/><path d="M280 470c40-190 170-280 380-270-20 80-60 110-120 120-6 60-60 90-120 100-20 50-70 66-140 50z" fill="none" stroke="#8b8678" stroke-width="9"/><path d="M640 600l26-70 94-90" fill="none" stroke="#7a7568" stroke-width="7" stroke-dasharray="10 8"/>',
  hand: '<path d="M400 640V470l-90-120c-20-40 26-70 56-30l44 54V170c0-44 54-44 54 0v150-190c0-44 56-44 56 0v190-160c0-40 54-40 54 0v170l14-60c12-36 58-22 54 14l-18 180c-4 56-36 84-46 110v66z" fill="url(#metal)"/><path d="M520 230l34 14 22-18" stroke="#2f3437" stroke-width="7" fill="none"/>',
  counter:
    '<path d="M120 240h720v70H120zM160 310h640v270H160z" fill="url(#wood)"/><path d="M700 240q30 40 74 34l8-34z" fill="#d9c59a"/><path d="M160 420h640" stroke="#402612" stroke-width="6"/>',
  saucer:
    '<ellipse cx="480" cy="380" rx="320" ry="230" fill="url(#white)"/><ellipse cx="480" cy="380" rx="240" ry="166" fill="none" stroke="#3b5c8a" stroke-width="9" stroke-dasharray="14 12"/><ellipse cx="480" cy="372" rx="120" ry="76" fill="none" stroke="#9a978c" stroke-width="6"/><path d="M470 150l20 110-50 80 70 60-15 60 35 146M510 400l120-30 150 40M440 340l-150-30-112-10M495 460l-135-4-165 30M560 372l60 150 44 42M400 330l-60-120-40-30" stroke="#3c3830" stroke-width="6" fill="none"/>',
  saucerAfter:
    '<ellipse cx="480" cy="380" rx="320" ry="230" fill="url(#white)"/><ellipse cx="480" cy="380" rx="240" ry="166" fill="none" stroke="#3b5c8a" stroke-width="9" stroke-dasharray="14 12"/><ellipse cx="480" cy="372" rx="120" ry="76" fill="none" stroke="#9a978c" stroke-width="6"/>',
  hare: '<path d="M300 560c-80-20-120-110-60-170 60-70 200-80 320-60 60-90 30-180-10-240 60 10 110 90 96 180 90 30 120 90 90 130-40 40-90 20-120 40-20 80-90 130-190 130z" fill="url(#wood)"/><path d="M546 92l34-40 26 12-18 44" fill="none" stroke="#2d1a0c" stroke-width="6" stroke-dasharray="9 7"/><circle cx="640" cy="330" r="13" fill="#1c120a"/>',
  pipe: '<path d="M400 60h150v520H400z" fill="url(#wood)"/><path d="M430 400h90v60h-90z" fill="#22150b"/><path d="M470 60c10 90-14 160 4 270" stroke="#24160b" stroke-width="5" fill="none"/><path d="M410 580h130l-30 70h-70z" fill="#5a3a1e"/>',
  lid: '<path d="M140 520c0-200 150-340 340-340s340 140 340 340z" fill="url(#black)"/><circle cx="560" cy="330" r="20" fill="#cfc3ae"/><path d="M300 420l70-80M330 450l80-90" stroke="#77777c" stroke-width="4"/>',
  bellows:
    '<path d="M150 200l90-40v420l-90-40zM810 200l-90-40v420l90-40z" fill="url(#wood)"/><path d="M240 180l80 50 80-50 80 50 80-50 80 50 80-50v380l-80-46-80 46-80-46-80 46-80-46-80 46z" fill="url(#skin)"/><circle cx="470" cy="360" r="18" fill="#1c0807"/>',
};
