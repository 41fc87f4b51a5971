import { formatMinutes, plain } from "@/core/units";
import type { CoatSchemes } from "@/core/views/coats";
import { Sideways } from "../frame/Sideways";
import { Sign } from "../signs/Sign";

/** Many thin coats or few thick ones: the same film, and how long it takes in this air. */
export function ThinThick({ schemes }: { schemes: readonly CoatSchemes[] }) {
  if (schemes.length === 0) return null;
  return (
    <section aria-label="Thin coats or thick ones" className="grid gap-4">
      {schemes.map(({ key, material, dry_um, planned, schemes: rows, best, until_min }) => (
        <section key={key} aria-label={`${material}, thin or thick`} className="pt-2">
          <h3>
            {material}
            <span className="sub ml-3">{plain(dry_um, 0)} µm dry in all</span>
          </h3>
          <Sideways label={`${material}, thin or thick`}>
            <table className="lst">
              <thead>
                <tr>
                  <th>Coats</th>
                  <th className="num">each, wet</th>
                  <th className="num">from one to the next</th>
                  <th className="num">all of them</th>
                  <th>so laid</th>
                </tr>
              </thead>
              <tbody>
                {rows.map(({ coats, wet_um, between_min, together_min, runs }) => (
                  <tr key={coats}>
                    <td>
                      <b>{coats}</b> {coats === planned && <span className="sub">planned</span>}
                    </td>
                    <td className="num">{plain(wet_um, 0)} µm</td>
                    <td className="num">
                      {formatMinutes(between_min[0])} to {formatMinutes(between_min[1])}
                    </td>
                    <td className="num">
                      {formatMinutes(together_min[0])} to {formatMinutes(together_min[1])}
                    </td>
                    <td>{runs ? <Sign name="never">runs, skins</Sign> : coats === best ? <Sign name="go">soonest</Sign> : null}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Sideways>
          {until_min && (
            <p>
              The next coat goes on within {formatMinutes(until_min[0])} to {formatMinutes(until_min[1])}; after that it is abraded with
              P400 first.
            </p>
          )}
        </section>
      ))}
      <p className="sub">
        What dries goes with the square of its thickness, what reacts does not; reckoned in the air of now. Under a few µm the model ends: a
        coat takes a quarter of its published time at least.
      </p>
    </section>
  );
}
