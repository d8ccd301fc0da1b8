// The bar over a cut list: whose it is, whether its stock is saved, and what it is taken along as.
import { useStore } from "zustand";
import type { JobStock } from "@/api/stock";
import { AccountMenu } from "@/features/account/AccountMenu";
import { TitleInJob } from "@/features/documents/TitleInJob";
import { Button } from "@/ui/Button";
import { MoreMenu } from "@/ui/MoreMenu";
import { TopBar } from "@/ui/TopBar";
import { say } from "@/words/say";
import type { OpenStock } from "./useStock";

type Props = {
  stock: JobStock;
  each: OpenStock;
  /** Whether there is a list yet. */
  ready: boolean;
  history: () => void;
};

export function CutsBar({ stock, each, ready, history }: Props) {
  const saved = useStore(each.store, (state) => state.baseVersion > 0);
  const saving = useStore(each.store, (state) => state.saving);
  const kept = useStore(each.store, (state) => state.kept);
  return (
    <div className="print:hidden">
      <TopBar
        title={say("Cut list")}
        named
        actions={
          <>
            {saved ? (
              <MoreMenu actions={[{ label: say("History of the stock"), run: history }]} />
            ) : null}
            <Button
              disabled={!ready}
              onClick={() => window.location.assign(`/api/jobs/${stock.job_id}/materials.csv`)}
            >
              {say("Materials as CSV")}
            </Button>
            <Button weight="main" onClick={() => window.print()}>
              {say("Print")}
            </Button>
            <AccountMenu />
          </>
        }
      >
        <TitleInJob job={{ id: stock.job_id, name: stock.job_name }} saving={saving} kept={kept}>
          <h1 className="truncate px-1 text-lg font-semibold">{say("Cut list")}</h1>
        </TitleInJob>
      </TopBar>
    </div>
  );
}
