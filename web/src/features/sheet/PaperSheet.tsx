// A sheet on the page: the server's own drawing, on which paper, to print and to take along.
import { type ReactNode, useEffect, useRef } from "react";
import type { LargePaper } from "@/documents/papers";
import { AccountMenu } from "@/features/account/AccountMenu";
import { Button, ButtonLink } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { TopBar } from "@/ui/TopBar";
import { say } from "@/words/say";

type Props<P extends LargePaper> = {
  paper: P;
  papers: readonly { readonly value: P; readonly label: string }[];
  setPaper: (paper: P) => void;
  /** Where the sheet is to be had in a format. */
  href: (format: "svg" | "pdf") => string;
  back: { to: string; label: string };
  /** Its pages, once they are there. */
  pages: readonly string[] | undefined;
  /** What is chosen of it, and what there is to know before it is printed. */
  children?: ReactNode;
};

export function PaperSheet<P extends LargePaper>(props: Props<P>) {
  const { paper, papers, setPaper, href, back, pages, children } = props;
  return (
    <div className="flex min-h-full flex-col print:block">
      <div className="print:hidden">
        <TopBar
          title={say("Sheet")}
          actions={
            <>
              <SegmentedControl
                label={say("Paper")}
                value={paper}
                options={papers}
                onChange={setPaper}
              />
              <span className="max-desk:hidden">
                <Download href={href("svg")} name="SVG" />
              </span>
              <Download href={href("pdf")} name="PDF" />
              <Button weight="main" onClick={() => window.print()}>
                {say("Print")}
              </Button>
              <AccountMenu />
            </>
          }
        >
          <h1 className="sr-only">{say("Sheet")}</h1>
          <ButtonLink to={back.to} weight="quiet">
            <Icon name="back" />
            <span className="max-desk:sr-only">{back.label}</span>
          </ButtonLink>
        </TopBar>
      </div>
      {children}
      <main className="grid flex-1 content-start justify-center gap-4 overflow-auto p-4 print:block print:overflow-visible print:p-0">
        {pages ? (
          pages.map((svg, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a page is known by its place
            <Drawn key={at} svg={svg} paper={paper} />
          ))
        ) : (
          <p role="status">{say("Drawing the sheet")}</p>
        )}
      </main>
    </div>
  );
}

export function Unsaved() {
  return (
    <p role="alert" className="border-l-3 border-amber bg-amber-soft px-4 py-2 print:hidden">
      {say(
        "This sheet is of the last saved version. Changes that could not be saved are not on it: go back to see why.",
      )}
    </p>
  );
}

function Download({ href, name }: { href: string; name: string }) {
  return (
    <a
      className="inline-flex min-h-9 items-center rounded-md border border-line bg-paper px-3 font-medium hover:border-strong-line pointer-coarse:min-h-11"
      href={href}
    >
      {name}
    </a>
  );
}

/** The server's SVG as part of the page, so that it is set in the page's own font. */
function Drawn({ svg, paper }: { svg: string; paper: LargePaper }) {
  const holder = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const parsed = new DOMParser().parseFromString(svg, "image/svg+xml").documentElement;
    holder.current?.replaceChildren(document.importNode(parsed, true));
  }, [svg]);
  return (
    <div
      ref={holder}
      data-sheet
      data-paper={paper}
      className={`w-full ${paper === "a3" ? "max-w-[420mm]" : "max-w-[210mm]"} bg-[white] shadow-lift print:max-w-none print:shadow-none not-print:[&>svg]:h-auto not-print:[&>svg]:w-full`}
    />
  );
}
