import { PieceScreen } from "@/screens/piece/PieceScreen";

export default async function Page({ params }: { readonly params: Promise<{ readonly path: readonly string[] }> }) {
  const { path } = await params;
  return <PieceScreen id={path[0] ?? ""} />;
}
