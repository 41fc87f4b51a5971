"use client";
import { lazily } from "../frame/lazily";

/** Every instrument of a station, fetched when its tab is first opened: pages name these, never what they are made of. */
export const Sections = lazily(() => import("../section/Sections").then((module) => module.Sections));
export const FillSets = lazily(() => import("../section/FillSets").then((module) => module.FillSets));
export const HowMuch = lazily(() => import("../section/HowMuch").then((module) => module.HowMuch));
export const Spots = lazily(() => import("../spots/Spots").then((module) => module.Spots));
export const Build = lazily(() => import("../build/Build").then((module) => module.Build));
export const LadderPane = lazily(() => import("../level/LadderPane").then((module) => module.LadderPane));
export const FilmPane = lazily(() => import("../level/FilmPane").then((module) => module.FilmPane));
export const SinkingPane = lazily(() => import("../level/SinkingPane").then((module) => module.SinkingPane));
export const SurfacePane = lazily(() => import("../level/SurfacePane").then((module) => module.SurfacePane));
export const AlikePane = lazily(() => import("../level/AlikePane").then((module) => module.AlikePane));
export const CoatStrip = lazily(() => import("../colour/CoatStrip").then((module) => module.CoatStrip));
export const Recipe = lazily(() => import("../colour/Recipe").then((module) => module.Recipe));
export const Swatches = lazily(() => import("../colour/Swatches").then((module) => module.Swatches));
export const Sheen = lazily(() => import("../colour/Sheen").then((module) => module.Sheen));
export const ThinThick = lazily(() => import("../colour/ThinThick").then((module) => module.ThinThick));
export const BracePanel = lazily(() => import("../join/BracePanel").then((module) => module.BracePanel));
export const DryRun = lazily(() => import("../ready/DryRun").then((module) => module.DryRun));
export const Shards = lazily(() => import("../ready/Shards").then((module) => module.Shards));
export const FormChoice = lazily(() => import("../ready/FormChoice").then((module) => module.FormChoice));
export const ConditionMap = lazily(() => import("../survey/ConditionMap").then((module) => module.ConditionMap));
export const CloseReview = lazily(() => import("../stations/CloseReview").then((module) => module.CloseReview));
export const OwnerDates = lazily(() => import("../stations/OwnerDates").then((module) => module.OwnerDates));
export const Photographs = lazily(() => import("../stations/Photographs").then((module) => module.Photographs));
export const Lens = lazily(() => import("../section/Lens").then((module) => module.Lens));
