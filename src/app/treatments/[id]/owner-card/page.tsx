import { wall } from "@/core/units";
import { closingView } from "@/core/views/closing";
import { toldEntries } from "@/core/views/judged";
import { hoursWords, mendedWords, ownerCardOf } from "@/core/views/ownerCard";
import { OwnerCardPage } from "@/ui/paper/OwnerCardPage";
import { shop } from "@/work/shop";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const metadata = { title: "Owner’s card" };

/** The owner's card on A5, for print: it stands alone, without bar and Shelf. */
export default async function OwnerCard({ params }: PageProps<"/treatments/[id]/owner-card">) {
  const id = asId((await params).id);
  return withRecord(
    () => Promise.all([treatmentPage(id), shop()]),
    ([{ record, treatment, worked, photographs, time_zone }, kept]) => {
      const here = wall(time_zone);
      const closing = worked ? closingView(treatment, worked) : { owner: [] };
      return (
        <OwnerCardPage
          treatment={id}
          piece={record.piece_title}
          mark={record.reference}
          when={mendedWords(toldEntries(treatment, worked), treatment.closed, here)}
          photograph={photographs.find(({ moment }) => moment === "after") ?? photographs[0]}
          card={ownerCardOf(treatment, worked, closing, here)}
          shop={{ name: kept.name, people: kept.people, hours: hoursWords(kept) }}
          signed={treatment.closed !== undefined}
        />
      );
    },
  );
}
