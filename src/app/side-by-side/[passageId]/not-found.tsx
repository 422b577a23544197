import { NothingHere } from "@/components/shell/nothing-here";

export default function NotFound() {
  return (
    <NothingHere title="No such passage" words="This passage is not in the repertoire, or is not there any more." />
  );
}
