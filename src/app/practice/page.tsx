import { Suspense } from "react";
import { LessonsScreen } from "@/screens/practice/LessonsScreen";

export default function Page() {
  return (
    <Suspense>
      <LessonsScreen />
    </Suspense>
  );
}
