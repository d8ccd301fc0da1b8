// A screen that failed: what, and the way on, without the draft that may have done it.
import { useMemberName } from "@/features/drafts/useMemberName";
import { draftKey, draftsOf, dropDraft } from "@/model/drafts";
import { Broken } from "@/ui/Broken";
import { downloadJson } from "@/ui/downloadJson";
import { say } from "@/words/say";

type Props = { path: string; error: Error; again: () => void };

export function FailedRoute({ path, error, again }: Props) {
  const member = useMemberName();
  const run = /^\/runs\/(\d+)/.exec(path)?.[1];
  const setAside = async (id: string) => {
    for (const draft of await draftsOf(member, { kind: "run", id })) {
      downloadJson(draft, `${draft.title} draft`);
      await dropDraft(draftKey(draft));
    }
    again();
  };
  return (
    <Broken
      title={say("This screen failed")}
      why={say("{message} What is saved is safe.", {
        message: error.message || say("Something unexpected was there."),
      })}
      {...(run ? { setAside: () => void setAside(run) } : {})}
    />
  );
}
