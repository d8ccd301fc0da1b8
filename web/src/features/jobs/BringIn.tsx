// A whole job from the file that it was exported to.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { bringInJob, forgetLists } from "@/api/queries";
import { FileButton } from "@/ui/FileButton";

export function BringIn() {
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
      {bring.error ? (
        <p role="alert" className="self-center text-sm text-brick">
          {bring.error.message}
        </p>
      ) : null}
      <FileButton
        label="Job file"
        accept=".zip,application/zip"
        disabled={bring.isPending}
        onFile={(chosen) => bring.mutate(chosen)}
      >
        {bring.isPending ? "Bringing it in …" : "Import a job"}
      </FileButton>
    </>
  );
}
