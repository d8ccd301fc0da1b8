// A whole job from the file that it was exported to, with how far it is, and a way to stop it.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { bringInJob } from "@/api/bringIn";
import type { Progress as Far } from "@/api/ndjson";
import { forgetLists } from "@/api/queries";
import { FileButton } from "@/ui/FileButton";
import { ProgressBar } from "@/ui/ProgressBar";
import { say } from "@/words/say";

export function ImportJob() {
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
      <ProgressBar
        label={say("Bringing the job in")}
        far={far}
        what={say("runs")}
        stop={() => stop.current.abort()}
      />
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
        label={say("Job file")}
        accept=".zip,application/zip"
        onFile={(chosen) => bring.mutate(chosen)}
      >
        {say("Import a job")}
      </FileButton>
    </>
  );
}
