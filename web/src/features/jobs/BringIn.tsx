// A whole job from the file that it was exported to.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { useNavigate } from "react-router";
import { bringInJob, forgetLists } from "@/api/queries";
import { Button } from "@/ui/Button";

export function BringIn() {
  const file = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const bring = useMutation({
    mutationFn: bringInJob,
    onSuccess: (job) => {
      forgetLists(queries);
      void navigate(`/jobs/${job.id}`);
    },
  });
  return (
    <>
      <input
        ref={file}
        type="file"
        accept=".zip,application/zip"
        aria-label="Job file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = "";
          if (chosen) {
            bring.mutate(chosen);
          }
        }}
      />
      {bring.error ? (
        <p role="alert" className="self-center text-sm text-brick">
          {bring.error.message}
        </p>
      ) : null}
      <Button disabled={bring.isPending} onClick={() => file.current?.click()}>
        {bring.isPending ? "Bringing it in \u2026" : "Import a job"}
      </Button>
    </>
  );
}
