import { NothingHere } from "@/components/shell/nothing-here";

export default function NotFound() {
  return <NothingHere title="Nothing lies here" words="There is no page at this address." />;
}
