import { type MaterialClass, SQUEEZE_OUT_PCT } from "@/core/catalogue";
import { consistencyFor, type PressureFacts, pressureFor } from "@/core/join/pressure.data";
import { bondBatch, lookTimes } from "@/core/plan/bond";
import type { RunningCure } from "@/core/plan/clocks";
import type { Loss } from "@/core/survey/loss";
import { figure, formatMinutes, plain } from "@/core/units";
import { useNow, useWall } from "../frame/now";
import { Sign } from "../signs/Sign";

interface Props {
  readonly adhesive: MaterialClass;
  readonly loss: Loss;
  readonly temp_C: number;
  readonly pressure: PressureFacts;
  readonly cure: RunningCure | undefined;
}

/** Adhesive for the real faces, how thick to make it, how to press it, and when to look again. */
export function Bond({ adhesive, loss, temp_C, pressure, cure }: Props) {
  const batch = bondBatch(loss, adhesive, temp_C);
  const consistency = consistencyFor(loss.film_mm);
  return (
    <>
      {batch && (
        <section aria-label="Adhesive for the joint" className="pt-2">
          <dl className="kv">
            <dt>
              {figure(loss.joint_mm2 / 100, 1)} cm² of faces, both sides, film {plain(loss.film_mm, 2)} mm
            </dt>
            <dd>{figure(batch.need_cm3, 2)} cm³</dd>
            <dt>Squeeze-out and brush, + {SQUEEZE_OUT_PCT} %</dt>
            <dd>{figure(batch.total_cm3, 2)} cm³</dd>
            {(batch.parts.length > 1 ? batch.parts : []).map(({ name, mass_g }) => (
              <PartRow key={name} name={name} grams={mass_g} />
            ))}
            <dt className="tot">Adhesive</dt>
            <dd className="tot">{figure(batch.total_g, 2)} g</dd>
            <dt>Open at {plain(temp_C)} °C</dt>
            <dd>{batch.pot_life_min === undefined ? "–" : formatMinutes(Math.max(1, batch.pot_life_min))}</dd>
            <dt>Batches</dt>
            <dd>{batch.batches.length}</dd>
          </dl>
          {batch.warnings.map(({ code, message }) => (
            <Sign key={code} name="soon" wrap>
              {message}
            </Sign>
          ))}
          <p className="pt-1">
            <b>{consistency.word}.</b> {consistency.how} {adhesive.mix.cue}
          </p>
        </section>
      )}
      <Pressure facts={pressure} />
      {cure && <Looks cure={cure} />}
    </>
  );
}

function PartRow({ name, grams }: { name: string; grams: number }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{figure(grams, 2)} g</dd>
    </>
  );
}

function Pressure({ facts }: { facts: PressureFacts }) {
  const [first, ...others] = pressureFor(facts);
  if (!first) return null;
  return (
    <section aria-label="Pressure" className="rule-ash mt-3 pt-2">
      <h3>{first.label}</h3>
      <p>{first.how}</p>
      <p className="dim">{first.why}</p>
      {others.length > 0 && <p className="sub pt-1">Would do too: {others.map(({ label }) => label.toLowerCase()).join(", ")}.</p>}
    </section>
  );
}

/** Timed prompts: at once, when it starts to pull, and the last moment. */
function Looks({ cure }: { cure: RunningCure }) {
  const now = useNow(15_000);
  const wall = useWall();
  const working = cure.stages.find(({ stage }) => stage === "working")?.at;
  return (
    <section aria-label="Look again" className="rule-ash mt-3 pt-2">
      <h3>Look again</h3>
      <ol>
        {lookTimes(cure.start, working).map(({ at, what }) => (
          <li key={what} className="flex justify-between gap-3 border-b border-ash py-1">
            <span>{what}</span>
            {at <= now ? <Sign name="done">{wall.when(at, now)}</Sign> : <Sign name="soon">{wall.when(at, now)}</Sign>}
          </li>
        ))}
      </ol>
    </section>
  );
}
