import { NewPiece } from "@/ui/objects/NewPiece";

export const metadata = { title: "New piece" };

export default async function NewPiecePage({ searchParams }: PageProps<"/objects/new">) {
  const { title } = await searchParams;
  return <NewPiece title={typeof title === "string" ? title.slice(0, 200) : ""} />;
}
