// A whole job from the file that it was exported to, with how far it is, and a way to stop it.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Progress } from "radix-ui";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { bringInJob, type Progress as Far } from "@/api/bringIn";
import { forgetLists } from "@/api/queries";
import { Button } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";

export function BringIn() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [far, setFar] = useState<Far | null>(null);
  const stop = useRef(new AbortController());
  const bring = useMutation({
    mutationFn: (archive: Blob) => {
      stop.current = new AbortController();
      return bringInJob(archive, setFar, stop.current.signal);
    },
    onSuccess: (job) => {
      forgetLists(queries);
      void navigate(`/jobs/${job}`);
    },
    onSettled: () => setFar(null),
  });
  if (bring.isPending) {
    return (
      <div className="flex items-center gap-3">
        <Progress.Root
          aria-label="Bringing the job in"
          value={far?.done ?? null}
          max={far?.of || 1}
          className="h-2 w-40 overflow-hidden rounded bg-line"
        >
          <Progress.Indicator asChild>
            <svg
              viewBox="0 0 100 1"
              preserveAspectRatio="none"
              className="h-full w-full"
              aria-hidden="true"
            >
              <rect
                width={far ? (100 * far.done) / (far.of || 1) : 0}
                height="1"
                className="fill-accent"
              />
            </svg>
          </Progress.Indicator>
        </Progress.Root>
        <span className="text-sm text-soft tabular-nums">
          {far ? `${far.done} of ${far.of} runs` : "Reading …"}
        </span>
        <Button onClick={() => stop.current.abort()}>Stop</Button>
      </div>
    );
  }
  return (
    <>
      {bring.error && !stop.current.signal.aborted ? (
        <p role="alert" className="self-center text-sm text-brick">
          {bring.error.message}
        </p>
      ) : null}
      <FileButton
        label="Job file"
        accept=".zip,application/zip"
        onFile={(chosen) => bring.mutate(chosen)}
      >
        Import a job
      </FileButton>
    </>
  );
}
