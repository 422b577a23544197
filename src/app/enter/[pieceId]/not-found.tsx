import { NothingHere } from "@/components/shell/nothing-here";

export default function NotFound() {
  return <NothingHere title="No such piece" words="These notes are not there any more, or came from a file." />;
}
