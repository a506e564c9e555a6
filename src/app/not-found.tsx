import Link from "next/link";

export default function NotFound() {
  return (
    <main className="p-6">
      <h1 className="mb-4 text-lg font-bold">There is no such page.</h1>
      <Link href="/" className="btn">
        Back to the tray
      </Link>
    </main>
  );
}
