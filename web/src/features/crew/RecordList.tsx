// What was done in the crew, the newest first. It is written once, and nobody can change it.
import { Link } from "react-router";
import { useRecord } from "@/api/crew";
import { Button } from "@/ui/Button";
import { moment } from "@/ui/moment";
import { say } from "@/words/say";
import { addressOf, doneInWords } from "./done";

export function RecordList() {
  const pages = useRecord();
  const entries = pages.data?.pages.flat() ?? [];
  return (
    <section aria-labelledby="record" className="mt-8">
      <h2 id="record" className="text-lg font-semibold">
        {say("What was done")}
      </h2>
      <p className="mb-2 text-sm text-soft">
        {say("Written as it is done. Nobody can change it or take anything away.")}
      </p>
      {pages.isError ? <p role="alert">{pages.error.message}</p> : null}
      {pages.isSuccess && entries.length === 0 ? (
        <p className="text-soft">{say("Nothing yet.")}</p>
      ) : null}
      <ol className="divide-y divide-line rounded-lg border border-line bg-paper">
        {entries.map((entry) => {
          const address = addressOf(entry);
          const words = doneInWords(entry);
          return (
            <li
              key={entry.id}
              className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 px-4 py-2 desk:grid-cols-[11rem_9rem_1fr_auto]"
            >
              <span className="text-sm text-soft tabular-nums max-desk:order-2">
                {moment(entry.at)}
              </span>
              <span
                className={`truncate max-desk:order-1 ${entry.who ? "font-medium" : "text-soft"}`}
              >
                {entry.who || say("not signed in")}
              </span>
              <span className="max-desk:order-3">
                {address ? (
                  <Link to={address} className="underline decoration-line hover:text-accent">
                    {words}
                  </Link>
                ) : (
                  words
                )}
              </span>
              <span className="text-sm text-soft max-desk:order-4">{entry.address}</span>
            </li>
          );
        })}
      </ol>
      {pages.hasNextPage ? (
        <Button
          className="mt-3 px-3"
          disabled={pages.isFetchingNextPage}
          onClick={() => void pages.fetchNextPage()}
        >
          {say("What was before")}
        </Button>
      ) : null}
    </section>
  );
}
