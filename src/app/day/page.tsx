import { Suspense } from "react";
import { DayScreen } from "@/screens/day/DayScreen";

export default function Page() {
  return (
    <Suspense>
      <DayScreen />
    </Suspense>
  );
}
