"use client";
import { useRouter } from "next/navigation";
import { Fragment, useMemo, useState } from "react";
import { type ClassName, classRow, ROLE_LABELS, type Role, STANCE_LABELS, STANCES, type Stance } from "@/core/catalogue";
import { factsOf } from "@/core/match/case";
import { clashesWith } from "@/core/match/chains";
import { CRITERIA, type CriterionRow } from "@/core/match/criteria.data";
import type { Judgement } from "@/core/match/judge";
import { insteadOf, type Matching, matching, REFER } from "@/core/match/match";
import type { ChainLink, MatchInput } from "@/core/match/match.schema";
import { keyRole } from "@/core/match/roles";
import { Segmented } from "../forms/Segmented";
import { HatchSwatch } from "../signs/Hatches";
import { Sign, SignShape } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Cautions } from "./Cautions";
import { Dot } from "./Dot";

interface Props {
  readonly treatment: string;
  readonly input: Omit<MatchInput, "stance">;
  readonly choice?: { readonly stance: Stance; readonly chain: readonly ChainLink[]; readonly entry: string };
  readonly stale: boolean;
}

type Picks = Partial<Record<Role, ClassName>>;

/** Match: candidates with reasons, the stance, the chain, what was refused and why. */
export function MatchStation({ treatment, input, choice, stale }: Props) {
  const [stance, setStance] = useState<Stance>(choice?.stance ?? "reversible");
  const [picks, setPicks] = useState<Picks>(() => picksOf(choice?.chain ?? []));
  const found = useMemo(() => matching({ ...input, stance }), [input, stance]);
  const other = useMemo(() => matching({ ...input, stance: otherStance(stance) }), [input, stance]);
  const key = keyRole(found.roles);
  const [shownRole, setShownRole] = useState<Role | undefined>(key);
  const role = shownRole && found.roles.includes(shownRole) ? shownRole : key;
  if (key === undefined || role === undefined)
    return (
      <p className="py-6 text-[17px] leading-[24px]">A damage of this measure needs no material. Correct the survey, or skip to Close.</p>
    );
  const chain = chainFor(found, picks);
  const judged = ranked(found, role);
  return (
    <>
      <div className="btn-row justify-between pb-2">
        {found.roles.length > 1 ? (
          <Segmented
            label="Link of the chain"
            value={role}
            options={found.roles.map((each) => [each, ROLE_LABELS[each]] as const)}
            onChange={setShownRole}
          />
        ) : (
          <span />
        )}
        <div className="btn-row">
          <span className="dim">{otherWould(other, found, stance)}</span>
          <Segmented
            label="Stance"
            value={stance}
            options={STANCES.map((each) => [each, STANCE_LABELS[each]] as const)}
            onChange={setStance}
          />
        </div>
      </div>
      {stale && (
        <Sign name="soon" className="pb-2" wrap>
          The survey was changed after you chose: look again, then choose once more.
        </Sign>
      )}
      <Matrix
        role={role}
        stance={stance}
        input={input}
        judged={judged}
        chosen={chain.find((link) => link.role === role)?.row.class}
        choose={(name) => setPicks({ ...picks, [role]: name })}
      />
      <Choice
        treatment={treatment}
        input={{ ...input, stance }}
        chain={chain}
        complete={chain.length === found.roles.length}
        corrects={choice?.entry}
      />
      <Refused role={role} found={found} />
    </>
  );
}

const otherStance = (stance: Stance): Stance => (stance === "reversible" ? "service" : "reversible");

function picksOf(chain: readonly ChainLink[]): Picks {
  return Object.fromEntries(chain.map((link) => [link.role, link.class]));
}

/** Candidates of a role, best first. Of the key role: in the order of their chains, since neighbours count. */
function ranked({ byRole, chains }: Matching, role: Role): Judgement[] {
  const able = (byRole.get(role) ?? []).filter(({ verdict }) => verdict !== "refused");
  const place = (judgement: Judgement) => chains.findIndex(({ links }) => links.includes(judgement));
  return [...able].sort((a, b) => b.score - a.score).sort((a, b) => (place(a) < 0 ? 99 : place(a)) - (place(b) < 0 ? 99 : place(b)));
}

/** The best chain that keeps to what was picked; where a pick is refused now, the best without it. */
function chainFor({ byRole, chains, roles }: Matching, picks: Picks): Judgement[] {
  const able = (role: Role, name: ClassName | undefined) =>
    byRole.get(role)?.find(({ row, verdict }) => row.class === name && verdict !== "refused");
  const key = keyRole(roles);
  const keyed =
    key && picks[key] ? chains.find(({ links }) => links.some((link) => link.role === key && link.row.class === picks[key])) : undefined;
  const base = keyed ?? chains[0];
  return roles.flatMap((role) => able(role, picks[role]) ?? base?.links.find((link) => link.role === role) ?? []);
}

function otherWould(other: Matching, own: Matching, stance: Stance): string {
  const name = (found: Matching) => found.chains[0]?.links.find(({ role }) => role === keyRole(found.roles))?.row.name;
  const [theirs, ours] = [name(other), name(own)];
  const label = STANCE_LABELS[otherStance(stance)];
  if (theirs === undefined) return `${label} finds nothing either`;
  return theirs === ours ? `${label} would pick the same` : `${label} would pick ${theirs.toLowerCase()}`;
}

interface MatrixProps {
  readonly role: Role;
  readonly stance: Stance;
  readonly input: Props["input"];
  readonly judged: readonly Judgement[];
  readonly chosen: ClassName | undefined;
  readonly choose: (name: ClassName) => void;
}

function Matrix({ role, stance, input, judged, chosen, choose }: MatrixProps) {
  const facts = factsOf({ ...input, stance });
  const columns: readonly CriterionRow[] = CRITERIA;
  if (judged.length === 0)
    return (
      <p className="py-4 text-[17px] font-semibold leading-[24px]">
        No material here does this: refer the piece, or change what is asked of it in the survey. Each reason stands below.
      </p>
    );
  return (
    <table className="matrix">
      <thead>
        <tr>
          <th style={{ width: 190 }}>
            {judged.length} {judged.length === 1 ? "candidate" : "candidates"}
            <span className="sub block">for the {ROLE_LABELS[role].toLowerCase()}</span>
          </th>
          {columns.map(({ criterion, label, asks, weight }) => (
            <th key={criterion} className={weight[stance] >= 4 ? "heavy" : ""}>
              {label}
              <span className="sub block">{weight[stance] >= 4 ? `weight × ${weight[stance]}` : asks(facts)}</span>
            </th>
          ))}
          <th style={{ width: 106 }}>Rank</th>
        </tr>
      </thead>
      <tbody>
        {judged.map((judgement, i) => (
          <CandidateRow
            key={judgement.row.class}
            judgement={judgement}
            place={i + 1}
            stance={stance}
            chosen={judgement.row.class === chosen}
            choose={() => choose(judgement.row.class)}
          />
        ))}
      </tbody>
    </table>
  );
}

const PLACES = ["1st", "2nd", "3rd"];

function CandidateRow({
  judgement,
  place,
  stance,
  chosen,
  choose,
}: {
  judgement: Judgement;
  place: number;
  stance: Stance;
  chosen: boolean;
  choose: () => void;
}) {
  const [open, setOpen] = useState(false);
  const { row, marks, verdict, reasons, score } = judgement;
  const columns: ReadonlyArray<CriterionRow & { criterion: keyof typeof marks }> = CRITERIA;
  return (
    <>
      <tr className={`row-main ${chosen ? "chosen" : ""}`}>
        <td>
          <span className="flex items-center gap-2 pl-1">
            <HatchSwatch hatch={row.hatch} />
            <b className="text-[15px] leading-[18px]">{row.name}</b>
          </span>
        </td>
        {columns.map(({ criterion, label, weight }) => (
          <td key={criterion} className={weight[stance] >= 4 ? "heavy" : ""}>
            <span className="cell">
              <Dot degree={marks[criterion].degree} />
              <span>
                <span className="cell-label sub">{label}: </span>
                {marks[criterion].word}
              </span>
            </span>
          </td>
        ))}
        <td>
          {chosen ? (
            <b>
              {PLACES[place - 1] ?? `${place}th`}
              <br />
              Chosen
            </b>
          ) : (
            <button type="button" className="btn small w-full" onClick={choose} aria-label={`Choose ${row.name}`}>
              Choose
            </button>
          )}
        </td>
      </tr>
      <tr className={`sum ${chosen ? "chosen-sum" : ""}`}>
        <td colSpan={columns.length + 2}>
          <button type="button" className="why" aria-expanded={open} onClick={() => setOpen(!open)}>
            <b>{verdict === "fits" ? "Fits." : "Fits if"}</b> {summary(judgement)}{" "}
            <u>{open ? "Hide the reasons" : `All reasons (${reasons.length})`}</u>
          </button>
          {open && (
            <ul className="pb-2 pl-1">
              {reasons.map(({ rule, text, source }) => (
                <li key={rule} className="leading-[20px]">
                  {text}{" "}
                  <span className="sub">
                    Rule {rule}; {source}.
                  </span>
                </li>
              ))}
              <li className="leading-[20px]">
                Score {score.toFixed(0)} of 100: the marks above, weighted for {STANCE_LABELS[stance].toLowerCase()}.{" "}
                <span className="sub">Figures of the class: {row.source}.</span>
              </li>
            </ul>
          )}
        </td>
      </tr>
    </>
  );
}

/** One sentence: the condition that counts most, else what speaks for it. */
function summary({ reasons, verdict, row, marks }: Judgement): string {
  const condition = reasons.find(({ effect }) => effect === "if");
  if (verdict === "fits-if" && condition) return condition.text.replace(/^Fits if /, "");
  const weak = reasons.find(({ effect }) => effect === "against" || effect === "fair");
  return weak
    ? weak.text
    : `${marks.bond.word} bond; ${row.reversible.grade === "easy" ? `comes out again with ${row.reversible.by}` : row.reversible.by}.`;
}

function Refused({ role, found }: { role: Role; found: Matching }) {
  const refused = (found.byRole.get(role) ?? []).filter(({ verdict }) => verdict === "refused");
  const instead = insteadOf(role, found.byRole, found.chains);
  const use = instead === REFER ? "No material here does this: refer." : `Use ${classRow(instead).name.toLowerCase()}.`;
  return (
    <section aria-label="Refused" className="mt-5">
      <h2 className="border-b border-ink pb-1">Refused for the {ROLE_LABELS[role].toLowerCase()}, and what instead</h2>
      {refused.map(({ row, reasons }) => {
        const against = reasons.filter(({ effect }) => effect === "refuse");
        const or = against.flatMap((reason) => reason.or ?? []);
        return (
          <div key={row.class} className="refusal">
            <span className="dim flex items-center gap-2 pl-1 font-semibold">
              <HatchSwatch hatch={row.hatch} size={28} />
              {row.name}
            </span>
            <Sign name="never">Refused</Sign>
            <span>
              {against.map(({ text }) => text).join(" ")} <b>{[use, ...or].join(" ")}</b>
            </span>
          </div>
        );
      })}
    </section>
  );
}

function Choice({
  treatment,
  input,
  chain,
  complete,
  corrects,
}: {
  treatment: string;
  input: MatchInput;
  chain: readonly Judgement[];
  complete: boolean;
  corrects: string | undefined;
}) {
  const router = useRouter();
  const log = useLog();
  const facts = factsOf(input);
  const clashes = chain.map((link, i) => clashesWith(facts, chain.slice(0, i), link));
  const clash = clashes.flat().find(({ effect }) => effect === "refuse");
  const plan = async () => {
    const body = {
      kind: "matched",
      hands_min: 10,
      stance: input.stance,
      chain: chain.map(({ role, row }) => ({ role, class: row.class })),
    } as const;
    if (await log.write({ ...body, chain: [...body.chain] }, corrects ? { corrects } : {})) router.push(`/treatments/${treatment}/ready`);
  };
  return (
    <section aria-label="The chain" className="mt-4">
      <h2 className="pb-1">The chain, in the order of the work</h2>
      <div className="chain">
        {chain.map((link, i) => (
          <div key={link.role}>
            <span className="sub">{ROLE_LABELS[link.role]}</span>
            <p className="text-[16px] font-bold leading-[20px]">{link.row.name}</p>
            {[...(clashes[i] ?? []), ...link.reasons.filter(({ effect }) => effect === "if")].map(({ rule, text, effect }) => (
              <p key={rule} className="pt-1 leading-[18px]">
                {effect === "refuse" && <Sign name="never">Clash</Sign>} {text}
              </p>
            ))}
            <Cautions of={link.row.hazards} short />
          </div>
        ))}
        <div className="grid content-center gap-2">
          <button type="button" className="btn go big" onClick={() => void plan()} disabled={log.busy || !complete || clash !== undefined}>
            {clash ? "Choose another link first" : complete ? "Plan this repair" : "A link is missing"}
          </button>
          <p className="sub">
            <SignShape name="to-come" size={10} /> Data sheets and local codes prevail over every figure here.
          </p>
        </div>
      </div>
      {chain.length > 0 && <Before chain={chain} />}
    </section>
  );
}

function Before({ chain }: { chain: readonly Judgement[] }) {
  const hazards = chain.flatMap(({ row }) => row.hazards);
  if (hazards.length === 0) return null;
  return (
    <div className="mt-3 grid gap-x-6 md:grid-cols-2">
      {[...new Set(hazards)].map((hazard) => (
        <Fragment key={hazard}>
          <div>
            <Cautions of={[hazard]} />
          </div>
        </Fragment>
      ))}
    </div>
  );
}
