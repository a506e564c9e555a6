import { Suspense } from "react";
import { ScreenAt } from "@/screens/ScreenAt";

export default function Page() {
  return (
    <Suspense>
      <ScreenAt address="/practice" />
    </Suspense>
  );
}
