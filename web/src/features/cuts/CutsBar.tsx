// The bar over a cut list: whose it is, whether its stock is saved, and what it is taken along as.
import { Link } from "react-router";
import { useStore } from "zustand";
import type { JobStock } from "@/api/stock";
import { AccountMenu } from "@/features/account/AccountMenu";
import { Button, IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { SavingState } from "@/ui/SavingState";
import { TopBar } from "@/ui/TopBar";
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
        title="Cut list"
        named
        actions={
          <>
            {saved ? (
              <Menu
                trigger={
                  <IconButton label="More">
                    <Icon name="more" />
                  </IconButton>
                }
                actions={[{ label: "History of the stock", run: history }]}
              />
            ) : null}
            <Button
              disabled={!ready}
              onClick={() => window.location.assign(`/api/jobs/${stock.job_id}/materials.csv`)}
            >
              Materials as CSV
            </Button>
            <Button weight="main" onClick={() => window.print()}>
              Print
            </Button>
            <AccountMenu />
          </>
        }
      >
        <Link
          to={`/jobs/${stock.job_id}`}
          className="truncate text-soft hover:text-ink max-desk:hidden"
        >
          {stock.job_name}
        </Link>
        <span className="text-soft max-desk:hidden">/</span>
        <div className="flex min-w-0 flex-1 items-center gap-x-3">
          <h1 className="truncate px-1 text-lg font-semibold">Cut list</h1>
          <SavingState saving={saving} kept={kept} />
        </div>
      </TopBar>
    </div>
  );
}
