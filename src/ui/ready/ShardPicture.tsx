"use client";
import type { PieceKind } from "@/core/catalogue";
import { type DrawnMap, placesOf, touches, withPlace, withTouch } from "@/core/ready/shardMap";
import { PieceIcon } from "../signs/PieceIcon";
import { MovableMark } from "../survey/MovableMark";

interface Props {
  readonly map: DrawnMap;
  readonly kind: PieceKind;
  readonly photograph?: { readonly id: string; readonly caption: string };
  /** The shard in the hand; undefined = none. */
  readonly held: number | undefined;
  readonly hold: (shard: number | undefined) => void;
  readonly change: (map: DrawnMap) => void;
}

/** The shards on the picture: drag each number to its shard, press one and then every one that it touches. */
export function ShardPicture({ map, kind, photograph, held, hold, change }: Props) {
  const places = placesOf(map);
  const press = (shard: number) => {
    if (held !== undefined && held !== shard) return change(withTouch(map, held, shard));
    hold(held === shard ? undefined : shard);
  };
  const titleOf = (shard: number) => {
    const others = places.flatMap((_, other) => (touches(map, shard, other) ? [other + 1] : []));
    return others.length > 0 ? `shard, touches ${others.join(", ")}` : "shard, touches nothing yet";
  };
  const marks = places.map((place, shard) => ({ shard, place, title: titleOf(shard) }));
  return (
    <>
      <p className="dim pt-2">
        {held === undefined
          ? "Drag each number onto its shard. Press one, then every shard that it touches."
          : `Shard ${held + 1} is in your hand: press what it touches; press it again to put it down.`}
      </p>
      <div className="map mt-2">
        {photograph ? (
          <img src={`/api/photographs/${photograph.id}`} alt={photograph.caption || "the piece"} />
        ) : (
          <PieceIcon kind={kind} size={210} />
        )}
        <svg className="map-lines" viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
          {["under", ""].flatMap((className) =>
            map.touching.map(([a, b]) => {
              const [from, to] = [places[a], places[b]];
              return (
                from && to && <line key={`${className} ${a} ${b}`} className={className} x1={from.x} y1={from.y} x2={to.x} y2={to.y} />
              );
            }),
          )}
        </svg>
        {marks.map(({ shard, place, title }) => (
          <MovableMark
            key={shard}
            number={shard + 1}
            title={title}
            place={place}
            busy={false}
            put={(to) => change(withPlace(map, shard, to))}
            press={() => press(shard)}
            pressed={held === shard}
          />
        ))}
      </div>
    </>
  );
}
