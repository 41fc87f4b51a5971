import { handsAgain } from "../catalogue";
import { row } from "../operation/row";
import { grams, inSentence } from "../units";
import { PIECE_OPS } from "./pieceOps.data";
import { PLACE_OPS } from "./placeOps.data";
import { STRIP_OPS } from "./stripOps.data";

/** How far a consolidant goes into what powders or frays, mm; trade practice. */
const SINKS_MM = 1;
/** Brushing a face wet in wet, mm² a minute; trade practice. */
const BRUSHED_MM2_MIN = 2000;

/** Locking what powders or frays before anything is laid on it. */
const CONSOLIDATE_OPS = {
  consolidate: row({
    each: "consolidated",
    kind: "consolidate",
    needs: ["clean", "trim", "pare", "lead-test", "dry-out", "stop-cause", "mask", "cut-core"],
    link: ({ link }) => link,
    role: "consolidant",
    amount: ({ here }) => ({ takes: here.map(({ id, opening_mm2 = 0 }) => ({ place: id, cm3: (opening_mm2 * SINKS_MM) / 1000 })), extra_pct: 20, apply: "faced" }),
    thickness: () => 0.1,
    starts: "coated",
    facts: ({ f, link }) => ({ face: f.damage === "eroded" ? "the powdering face" : "the cut edge", slow: link.class === "ethyl-silicate" }),
    hands: ({ takes, here }) => {
      const [low, high] = handsAgain([5, 15], here);
      return [low, Math.max(high, Math.round(((takes?.need_cm3 ?? 0) * 1000) / SINKS_MM / BRUSHED_MM2_MIN))];
    },
    words: ({ facts: { face, slow }, material, takes }) => ({
      title: "Consolidate the edge",
      text: `Lock ${face} with ${inSentence(material?.name ?? "")}, thin, about ${grams(takes?.mass_g ?? 0)}`,
      why: `Fibres and powder drink the glue out of what comes next. ${slow ? "It throws water off for two to four weeks: nothing water-borne before that." : "Let it dry through."}`,
      done_when: "the edge feels hard and dry",
    }),
    cautions: ({ material }) => material?.hazards ?? [],
    meets: ["bond-powders", "bond-hollow", "water-board-thin", "reverse-consolidant", "solvent-trapped", "water-trapped", "silicate-wait"],
  }),
};

/** Everything that is done at Make ready. */
export const READY_OPS = { ...PIECE_OPS, ...CONSOLIDATE_OPS, ...STRIP_OPS, ...PLACE_OPS };
