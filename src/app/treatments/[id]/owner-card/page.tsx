import { wall } from "@/core/units";
import { closingView } from "@/core/views/closing";
import { toldEntries } from "@/core/views/judged";
import { ownerCardOf } from "@/core/views/ownerCard";
import { OwnerCardPage } from "@/ui/paper/OwnerCardPage";
import { shop } from "@/work/shop";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const metadata = { title: "Owner’s card" };

const DAYS = { mon: "Mon", tue: "Tue", wed: "Wed", thu: "Thu", fri: "Fri", sat: "Sat", sun: "Sun" } as const;

/** The owner's card on A5, for print: it stands alone, without bar and Shelf. */
export default async function OwnerCard({ params }: PageProps<"/treatments/[id]/owner-card">) {
  const id = asId((await params).id);
  return withRecord(
    () => Promise.all([treatmentPage(id), shop()]),
    ([{ record, treatment, worked, photographs, time_zone, now }, { name, people, from, to, days }]) => {
      const here = wall(time_zone);
      const told = toldEntries(treatment, worked);
      const first = told[0] ? Date.parse(told[0].at) : now;
      const last = treatment.closed ? Date.parse(treatment.closed.at) : undefined;
      const closing = worked ? closingView(treatment, worked) : { owner: [] };
      return (
        <OwnerCardPage
          treatment={id}
          piece={record.piece_title}
          mark={record.reference}
          when={last === undefined ? `begun ${here.day(first)}` : `mended ${here.day(first)} to ${here.stamp(last).split(",")[0]}`}
          photograph={photographs.find(({ moment }) => moment === "after") ?? photographs[0]}
          card={ownerCardOf(treatment, worked?.repair.damages ?? [], closing, here)}
          shop={{ name, people, hours: `${days.map((day) => DAYS[day]).join(", ")} ${from} to ${to}` }}
          signed={treatment.closed !== undefined}
        />
      );
    },
  );
}
