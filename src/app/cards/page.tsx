import { Suspense } from "react";
import { CardsScreen } from "@/screens/card/CardsScreen";

export default function Page() {
  return (
    <Suspense>
      <CardsScreen />
    </Suspense>
  );
}
