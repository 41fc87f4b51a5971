"use client";
import { SHAPINGS, type Shaping, TEXTURES, type Texture } from "@/core/fill/shaping.data";
import { plain } from "@/core/units";
import type { FillSet } from "@/core/views/fillPlaces";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

/** How it is shaped, the grain of the surface, how proud it is laid, how much is mixed over the need. */
export function FillSets({ sets }: { sets: readonly FillSet[] }) {
  return sets.map((each) => <OneSet key={each.damage} {...each} several={sets.length > 1} />);
}

function OneSet({ several, ...fill }: FillSet & { several: boolean }) {
  const log = useLog();
  const { damage, label, set, shaped } = fill;
  return (
    <section aria-label={`Shape, grain, overfill: ${label.toLowerCase()}`} className="pb-6">
      {several && <h3>{label}</h3>}
      {shaped && (
        <Shapings
          chosen={set?.shaping}
          choose={(shaping) => void log.write({ ...set, shaping, kind: "fill-set", damage })}
          busy={log.busy}
        />
      )}
      <p className="txt-label pt-3">Grain, given before it skins</p>
      <Segmented
        label="Grain"
        value={set?.texture ?? "none"}
        options={[["none", "none"] as const, ...TEXTURES.map(({ texture, label: name }) => [texture, name] as const)]}
        onChange={(to) => {
          const { texture: _texture, ...rest } = set ?? {};
          void log.write({ ...rest, ...(to === "none" ? {} : { texture: to as Texture }), kind: "fill-set", damage });
        }}
      />
      <Heights {...fill} />
    </section>
  );
}

function Shapings({ chosen, choose, busy }: { chosen: Shaping | undefined; choose: (shaping: Shaping) => void; busy: boolean }) {
  return (
    <div className="grid gap-2 pt-2 sm:grid-cols-2">
      {SHAPINGS.map(({ shaping, label, how, tools, suits }) => (
        <div key={shaping} className={`way ${chosen === shaping ? "chosen" : ""}`}>
          <div className="flex items-start justify-between gap-2">
            <h3>{label}</h3>
            {chosen === shaping ? (
              <Sign name="done">Chosen</Sign>
            ) : (
              <button type="button" className="btn small" disabled={busy} onClick={() => choose(shaping)} aria-label={`Choose: ${label}`}>
                Choose
              </button>
            )}
          </div>
          <p>{how}</p>
          <p className="sub">
            {tools}. For {suits}.
          </p>
        </div>
      ))}
    </div>
  );
}

const limits = { proud: 20, extra: 200 } as const;

/** What is typed of a height or a share: wrong, or nothing where it is left to the program. */
function read(text: string, most: number): { readonly value?: number; readonly error?: string } {
  if (text.trim() === "") return {};
  const parsed = parseNumber(text);
  if (!parsed.ok) return { error: parsed.message };
  return parsed.value >= 0 && parsed.value <= most ? { value: parsed.value } : { error: `Enter 0 to ${most}, or leave it empty.` };
}

function Heights({ damage, set, proud_mm, extra_pct }: FillSet) {
  const log = useLog();
  const start = { proud: set?.proud_mm?.toString() ?? "", extra: set?.extra_pct?.toString() ?? "" };
  const [typed, keep, forget] = useKept(`fill-set:${log.treatment}:${damage}`, start);
  const [proud, extra] = [read(typed.proud, limits.proud), read(typed.extra, limits.extra)];
  const wrong = proud.error ?? extra.error;
  const save = async () => {
    if (wrong) return;
    const { proud_mm: _proud, extra_pct: _extra, ...rest } = set ?? {};
    const body = {
      ...rest,
      ...(proud.value === undefined ? {} : { proud_mm: proud.value }),
      ...(extra.value === undefined ? {} : { extra_pct: extra.value }),
    };
    if (await log.write({ ...body, kind: "fill-set", damage })) forget();
  };
  return (
    <form
      method="post"
      className="grid max-w-[560px] gap-3 pt-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
      noValidate
    >
      <NumberField
        name="proud_mm"
        label="Laid proud"
        unit="mm"
        value={typed.proud}
        onChange={(text) => keep({ ...typed, proud: text })}
        error={proud.error}
        note={`empty: ${plain(proud_mm, 2)} mm, what it sinks and what levelling takes`}
      />
      <NumberField
        name="extra_pct"
        label="Mixed over the need"
        unit="%"
        value={typed.extra}
        onChange={(text) => keep({ ...typed, extra: text })}
        error={extra.error}
        note={`empty: ${plain(extra_pct, 0)} %, what stays on slab and gloves`}
      />
      <button type="submit" className="btn justify-self-start" disabled={log.busy}>
        Plan with these
      </button>
    </form>
  );
}
