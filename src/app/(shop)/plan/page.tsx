import { Suspense } from "react";
import { wall } from "@/core/units";
import { calendarOf, type WeekPlan } from "@/core/views/week/weekPlan";
import { weekView } from "@/core/views/week/weekView";
import { Link } from "@/ui/frame/Link";
import { ToBuyList } from "@/ui/plan/ToBuyList";
import { Week } from "@/ui/plan/Week";
import { week } from "@/work/week";
import { withRecord } from "../withRecord";

export const metadata = { title: "Plan" };

const FACES = [
  ["week", "Week"],
  ["buy", "To buy"],
] as const;

/** All open pieces in one plan of the shop's hands, and what has to be bought for it. */
export default async function PlanPage({ searchParams }: PageProps<"/plan">) {
  const { view } = await searchParams;
  const face = view === "buy" ? "buy" : "week";
  return (
    <div className="px-5 pb-5">
      <div className="flex min-h-[66px] flex-wrap items-center gap-4">
        <h1>Plan</h1>
        <nav aria-label="Faces of the plan" className="seg">
          {FACES.map(([each, label]) => (
            <Link key={each} href={each === "week" ? "/plan" : `/plan?view=${each}`} aria-current={each === face ? "page" : undefined}>
              {label}
            </Link>
          ))}
        </nav>
      </div>
      <Suspense key={face} fallback={<p className="py-6 text-read">Planning …</p>}>
        <Planned face={face} />
      </Suspense>
    </div>
  );
}

/** The plan is worked out aside: the page stands while it is awaited. */
function Planned({ face }: { face: "week" | "buy" }) {
  return withRecord(week, ({ plan, shop, to_buy, trouble }) => {
    const clock = wall(shop.time_zone);
    if (face === "buy") return <ToBuyList rows={to_buy} now={plan.now} wall={clock} />;
    if (trouble !== "") return <p className="py-6 text-read">There is no plan now: {trouble}</p>;
    const view = weekView(plan, calendarOf(shop), Math.max(1, shop.people.length), clock);
    return <Week view={view} bound={boundWords(plan)} />;
  });
}

const MOST_NAMED = 6;

/** How good the plan is, and whom it leaves out. */
function boundWords({ proven, finish, bound, left_out }: WeekPlan): string {
  const gap = Math.max(0, (finish - bound) / 3_600_000);
  const good = proven ? "No plan is done sooner." : `All is done at most ${Math.max(1, Math.round(gap))} h later than it ever could be.`;
  if (left_out.length === 0) return good;
  const named = left_out.slice(0, MOST_NAMED).map(({ piece }) => piece);
  const more = left_out.length > MOST_NAMED ? ` and ${left_out.length - MOST_NAMED} more` : "";
  return `${good} Too many to plan at once, promised latest or to nobody: ${named.join(", ")}${more}.`;
}
