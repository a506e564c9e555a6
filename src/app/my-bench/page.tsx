import { MyBenchScreen } from "@/screens/my-bench/MyBenchScreen";

export default function Page() {
  return <MyBenchScreen />;
}
