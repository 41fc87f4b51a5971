import { writeFile } from "node:fs/promises";
import path from "node:path";
import type { ClassName } from "../src/core/catalogue";
import { matching } from "../src/core/match/match";
import type { ChainLink } from "../src/core/match/match.schema";
import { workOut } from "../src/core/plan/damageContext";
import { atPlaces } from "../src/core/plan/links";
import { SCALE_STEP_G } from "../src/core/plan/planCalc";
import { readLog } from "../src/core/record/treatment";
import { damageInput } from "../src/core/views/worked";
import { DOSSIER_FORMAT, DOSSIER_VERSION, type Dossier } from "../src/formats/dossier.schema";
import { sha256 } from "../src/formats/photograph";
import { DRAWINGS, picture } from "./pictures";
import { STORIES } from "./stories";
import { AIR, ago, DAY, NOW, partId, type Story, Teller, uuid } from "./teller";

/** What Match proposes for a damage with the class that the story takes. */
function chainOf(story: Story, teller: Teller, id: string, choose: ClassName): ChainLink[] {
  const damage = readLog(teller.log).damages.find((each) => each.id === id);
  if (!damage) throw new Error(`${story.title}: ${id} is not surveyed`);
  const { choose: _none, ...input } = damageInput(teller.piece, damage);
  const { asked, places } = workOut(input, story.stance ?? "reversible", AIR, { scale_step_g: SCALE_STEP_G });
  const found = matching(asked, undefined, atPlaces(places, asked));
  const chain = found.chains.find(({ links }) => links.some(({ row }) => row.class === choose));
  if (!chain)
    throw new Error(
      `${story.title}: ${choose} is refused; chains: ${found.chains.map(({ links }) => links.map(({ row }) => row.class).join("+")).join(" | ")}`,
    );
  return chain.links.map(({ role, row }) => ({ role, class: row.class }));
}

/** Survey and choice of every damage, a few minutes apart. */
function begin(story: Story, teller: Teller, first: number): void {
  const { damages, stance = "reversible" } = story;
  damages.forEach(({ mark, survey, part, title }, i) => {
    const damage = `d${i + 1}`;
    if (mark) teller.write(first - 5 - 12 * i, { kind: "marked", damage, x: mark[0], y: mark[1] });
    teller.write(first - 10 - 12 * i, {
      kind: "surveyed",
      damage,
      ...(part ? { part: partId(story, part) } : {}),
      ...(title ? { title } : {}),
      survey,
      hands_min: 15,
    });
  });
  damages.forEach(({ choose }, i) => {
    const damage = `d${i + 1}`;
    if (choose)
      teller.write(first - 40 - 5 * i, { kind: "matched", damage, stance, chain: chainOf(story, teller, damage, choose), hands_min: 10 });
  });
}

async function dossierOf(story: Story): Promise<Dossier> {
  const teller = new Teller(story);
  const first = Math.max(DAY, ...story.drawings.map(([, , , minutes]) => minutes)) + 30;
  begin(story, teller, first);
  story.tell?.(teller);
  const photographs = await Promise.all(
    story.drawings.map(async ([name, moment, caption, minutes], i) => {
      const bytes = await picture(DRAWINGS[name] ?? "");
      return {
        id: uuid(`${story.reference}/photograph/${i}`),
        taken_at: ago(minutes),
        moment,
        caption,
        mime: "image/jpeg" as const,
        sha256: sha256(bytes),
        data: bytes.toString("base64"),
      };
    }),
  );
  return {
    format: DOSSIER_FORMAT,
    version: DOSSIER_VERSION,
    exported_at: new Date(NOW).toISOString(),
    piece: {
      id: uuid(`${story.reference}/piece`),
      title: story.title,
      reference: story.reference,
      owner_reference: story.reference === "PRACTICE" ? "" : `Haldenau, stand ${1 + (Number(story.reference.slice(3)) % 9)}`,
      kind: story.kind,
      created_at: ago(first),
      parts: story.parts.map(({ name, substrate, finish }) => ({ id: partId(story, name), name, substrate, finish })),
    },
    treatment: {
      id: uuid(`${story.reference}/treatment`),
      part: partId(story, story.parts[0].name),
      title: story.treatment,
      ...(story.promised ? { promised: story.promised } : {}),
      created_at: ago(first),
      log: teller.log,
      photographs,
    },
  };
}

/** Write every demo dossier anew, or only the one that is named. */
async function main(): Promise<void> {
  const only = process.argv[2];
  for (const story of STORIES.filter(({ file }) => only === undefined || file === only)) {
    const file = path.resolve(process.cwd(), "demo", `${story.file}.dossier.json`);
    await writeFile(file, `${JSON.stringify(await dossierOf(story), null, 1)}\n`);
    console.log(file);
  }
}

void main();
