import Link from "next/link";
import { commonText } from "@/words/common";
import { notFoundText } from "@/words/app";

export default function NotFound() {
  return (
    <main className="p-6">
      <h1 className="mb-4 text-lg font-bold">{notFoundText.thereIsNoSuchPage}</h1>
      <Link href="/" className="btn">
        {commonText.backToTheTray}
      </Link>
    </main>
  );
}
