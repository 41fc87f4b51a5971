"use client";
import type { FilmBudget as Film } from "@/core/views/filmBudget";
import { FilmBudget } from "./FilmBudget";

/** The film of every damage, rung by rung. */
export function FilmPane({ films }: { films: readonly Film[] }) {
  return (
    <div className="grid gap-6">
      {films.map((film) => (
        <FilmBudget key={film.damage} film={film} />
      ))}
    </div>
  );
}
