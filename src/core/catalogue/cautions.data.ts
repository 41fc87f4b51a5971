/** Said with the step that needs it. The safety data sheet, local codes and licensed practice prevail. */
export const CAUTIONS = [
  { caution: "vapour", short: "Window open, no flame", text: "Solvent vapour burns and dulls the head: ventilate, keep flames away, lay rags flat in a metal bin." },
  { caution: "sensitiser", short: "Gloves on", text: "Uncured resin and hardener give rashes that last: wear nitrile gloves, wash skin with soap, never solvent, and keep wet sanding dust off the skin." },
  { caution: "styrene", short: "Outdoors or extraction", text: "Styrene vapour: work outdoors or under extraction." },
  { caution: "peroxide", short: "Goggles for the hardener", text: "Peroxide hardener burns eyes: wear goggles; after a splash rinse for 15 minutes and see a doctor." },
  { caution: "cyanoacrylate", short: "Goggles, no cotton", text: "Bonds skin and eyes in seconds, its fumes sting, and it heats up on cotton: goggles, fresh air, no cotton gloves or swabs." },
  { caution: "monomer", short: "Extraction", text: "Strong acrylic monomer vapour: use extraction and keep flames away." },
  { caution: "isocyanate", short: "Never spray, gloves", text: "Isocyanates can cause asthma: gloves, fresh air, never spray without supplied air. At work European law asks for a training first (REACH annex XVII, 74)." },
  { caution: "dust-mineral", short: "Mask for the dust", text: "Plaster and filler dust harms the lungs: mask (P2; P3 where quartz is in it), damp wipe, no sweeping." },
  { caution: "dust-wood", short: "Mask for the dust", text: "Wood dust harms the lungs and burns: mask and extraction." },
  { caution: "dust-resin", short: "Mask, no bare skin", text: "Dust of cured resin, glass or metal: mask, goggles, sleeves down." },
  { caution: "dust-metal", short: "Metal dust: mask, wet, no food", text: "Dust of tin, lead and copper alloys is poisonous: mask (P3), work wet, no food on the bench, wash hands." },
  { caution: "silica", short: "Silica: P3 mask", text: "Dust of glaze, stoneware, stone and quartz scars the lungs: P3 mask or wet, never sweep." },
  { caution: "wet-plaster-skin", short: "Lime burns", text: "Wet lime and cement burn eyes for good (H318) and skin: goggles, gloves, rinse for 15 minutes, see a doctor." },
  { caution: "bleach", short: "Acid: goggles, gloves", text: "Oxalic acid burns and is poisonous: goggles, gloves, add it to water, rinse and neutralise; never sand what is left of it." },
  { caution: "oily-rags", short: "Rags catch fire", text: "Oily rags heat up and catch fire by themselves: lay them flat to dry or keep them under water in metal." },
  { caution: "spray", short: "Spray mist", text: "Spray mist burns and harms the lungs: extraction, A2-P3 mask, no spark in the room. Dry overspray of nitrocellulose catches fire by itself: wipe it up, keep it wet in metal." },
  { caution: "hot", short: "Burns: hot glue or tool", text: "Hot glue, knife or air burns skin and film: test beside the loss first." },
  { caution: "caustic-wet-plaster", short: "No skin in setting plaster", text: "Setting plaster heats up: never enclose a hand or finger in it." },
  { caution: "blade", short: "Cut away from the hand", text: "A blade slips on a hard fill: cut away from the hand that holds the piece." },
  { caution: "clamp-force", short: "Just enough pressure", text: "Clamps crack thin plates and starve the joint: just enough pressure, pads on both sides." },
  { caution: "old-paint", short: "Old paint may hold lead", text: "Old paint may hold lead: test first, wet methods only, refer when it does." },
  { caution: "cup-heat", short: "Hot cup", text: "So much resin heats itself in the cup until it smokes: mix less at once, pour it out flat, keep the cup off paper." },
  { caution: "formaldehyde", short: "Formaldehyde", text: "Urea resin gives off formaldehyde as it sets and when it is sanded: fresh air, gloves, mask." },
  { caution: "ethyl-silicate", short: "Fumes, goggles", text: "Ethyl silicate irritates eyes and lungs and gives off alcohol for days: goggles, A2 mask, no flame, air the room." },
  { caution: "uv-lamp", short: "Never look at the lamp", text: "A curing lamp harms eyes and skin: amber glasses, covered hands, nobody else in the beam." },
  { caution: "celluloid", short: "Celluloid: no flame, no heat", text: "Celluloid burns like a fuse and old pieces catch fire by themselves: no flame, no hot tool, no friction heat, store it cool and apart." },
  { caution: "residues", short: "Old poisons", text: "Old collection pieces of skin, feather, wood or paper may carry arsenic or mercury: gloves, mask, no food, wash hands." },
  { caution: "mould", short: "Mould: P3 mask", text: "Mould harms the lungs and spreads: P3 mask, gloves, bag it, dry it, clean it under extraction." },
  { caution: "hot-pvc", short: "Do not overheat vinyl", text: "Overheated vinyl gives off hydrogen chloride: stay under 60 °C, air the room." },
  { caution: "stripper", short: "No dichloromethane", text: "Strippers with dichloromethane are restricted and have killed in closed rooms: take one without, gloves, air from outside." },
  { caution: "food", short: "Keep food off the repair", text: "A repaired vessel is decorative unless the product's data sheet says otherwise." },
] as const;

export type Caution = (typeof CAUTIONS)[number]["caution"];
export type CautionRow = (typeof CAUTIONS)[number];

/** What to guard against, in the order told; what is guarded alike is said once. Codes that are not in the table are left out. */
export function guardsOf(cautions: readonly string[]): Array<Pick<CautionRow, "short"> & { readonly text: string }> {
  const rows = cautions.flatMap((code): CautionRow[] => CAUTIONS.filter(({ caution }) => caution === code));
  return [...new Set(rows.map(({ short }) => short))].map((short) => ({
    short,
    text: rows.flatMap((row) => (row.short === short ? [row.text] : [])).join(" "),
  }));
}

/** The row of a caution. @throws {RangeError} on a name that is not in the table */
export function cautionRow(caution: Caution): CautionRow {
  const row = CAUTIONS.find((candidate) => candidate.caution === caution);
  if (!row) throw new RangeError(`unknown caution: ${caution}`);
  return row;
}
