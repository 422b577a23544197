import { NothingHere } from "@/components/shell/nothing-here";

export default function NotFound() {
  return <NothingHere title="No such piece" words="This piece is not in the repertoire, or is not there any more." />;
}
