import { writeFile } from "node:fs/promises";
import path from "node:path";
import { matching } from "../src/core/match/match";
import type { ChainLink } from "../src/core/match/match.schema";
import { keyRole } from "../src/core/match/roles";
import { matchInputOf } from "../src/core/plan/matchInput";
import type { Survey } from "../src/core/survey/survey.schema";
import { DOSSIER_FORMAT, DOSSIER_VERSION, type Dossier } from "../src/formats/dossier.schema";
import { sha256 } from "../src/formats/photograph";
import { DRAWINGS, picture } from "./pictures";
import { STORIES } from "./stories";
import { AIR, ago, DAY, keyOf, NOW, type Story, Teller, uuid } from "./teller";

function chainOf(story: Story, survey: Survey): ChainLink[] {
  const found = matching({ ...matchInputOf(story, survey, survey.damage, AIR.temp_C), stance: story.stance ?? "reversible" });
  const key = keyRole(found.roles);
  const chain = found.chains.find(({ links }) => links.some(({ role, row }) => role === key && row.class === story.choose));
  if (!chain)
    throw new Error(
      `${story.title}: ${story.choose} is refused; chains: ${found.chains.map(({ links }) => links.map(({ row }) => row.class).join("+")).join(" | ")}`,
    );
  return chain.links.map(({ role, row }) => ({ role, class: row.class }));
}

async function dossierOf(story: Story): Promise<Dossier> {
  const teller = new Teller(story);
  const first = Math.max(DAY, ...story.drawings.map(([, , , minutes]) => minutes)) + 30;
  if (story.mark) teller.write(first - 5, { kind: "marked", x: story.mark[0], y: story.mark[1] });
  if (story.survey) teller.write(first - 10, { kind: "surveyed", survey: story.survey, hands_min: 15 });
  if (story.survey && story.choose)
    teller.write(first - 25, { kind: "matched", stance: story.stance ?? "reversible", chain: chainOf(story, story.survey), hands_min: 10 });
  story.tell?.(teller);
  teller.log.forEach((entry, i) => {
    if (i > 0 && entry.at < (teller.log[i - 1]?.at ?? ""))
      throw new Error(`${story.title}: entry ${entry.seq} (${entry.body.kind}) is before the one before it`);
  });
  const part = uuid(`${keyOf(story)}/part`);
  const photographs = await Promise.all(
    story.drawings.map(async ([name, moment, caption, minutes], i) => {
      const bytes = await picture(DRAWINGS[name] ?? "");
      return {
        id: uuid(`${keyOf(story)}/photograph/${i}`),
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
      parts: [{ id: part, name: story.part, substrate: story.substrate, finish: story.finish }],
    },
    treatment: {
      id: uuid(`${keyOf(story)}/treatment`),
      part,
      title: story.treatment,
      ...(story.promised ? { promised: story.promised } : {}),
      created_at: ago(first),
      log: teller.log,
      photographs,
    },
  };
}

/** Write every demo dossier anew. */
async function main(): Promise<void> {
  for (const story of STORIES) {
    const file = path.resolve(process.cwd(), "demo", `${story.file}.dossier.json`);
    await writeFile(file, `${JSON.stringify(await dossierOf(story), null, 1)}\n`);
    console.log(file);
  }
}

void main();
