// Quick checks: no job, no run. Conduit, trunking, boxes, pull boxes, holes, and whole schedules.
import { lazy, Suspense, useEffect, useRef } from "react";
import { Link, Navigate, NavLink, useParams } from "react-router";
import { AccountMenu } from "@/features/account/AccountMenu";
import { classes } from "@/ui/classes";
import { TopBar } from "@/ui/TopBar";
import { say } from "@/words/say";
import { FillCheck } from "./FillCheck";

const BoxCheck = lazy(() => import("./BoxCheck"));
const PullBoxCheck = lazy(() => import("./PullBoxCheck"));
const EntriesCheck = lazy(() => import("./EntriesCheck"));
const ScheduleCheck = lazy(() => import("./ScheduleCheck"));

const WHAT = {
  conduit: say("Conduit"),
  trunking: say("Trunking"),
  box: say("Box"),
  pullbox: say("Pull box"),
  holes: say("Holes"),
  schedule: say("Schedule"),
} as const;

type What = keyof typeof WHAT;

export default function CheckScreen() {
  const what = useParams().what as What | undefined;
  const tabs = useRef<HTMLElement>(null);
  useEffect(() => {
    const chosen = tabs.current?.querySelector(`[href="/check/${what}"]`);
    chosen?.scrollIntoView({ inline: "nearest", block: "nearest" });
  }, [what]);
  if (!what || !(what in WHAT)) {
    return <Navigate to="/check/conduit" replace />;
  }
  return (
    <div className="flex h-full flex-col">
      <TopBar title={say("Quick check")} actions={<AccountMenu />}>
        <Link to="/" className="text-soft hover:text-ink max-desk:hidden">
          {say("Jobs")}
        </Link>
        <h1 className="font-semibold">{say("Quick check")}</h1>
      </TopBar>
      <nav
        ref={tabs}
        aria-label={say("What to check")}
        className="flex gap-1 overflow-x-auto border-b border-line bg-raised px-3"
      >
        {Object.entries(WHAT).map(([name, title]) => (
          <NavLink
            key={name}
            to={`/check/${name}`}
            className={({ isActive }) =>
              classes(
                "flex min-h-10 items-center border-b-3 px-3 whitespace-nowrap pointer-coarse:min-h-11",
                isActive
                  ? "border-accent font-semibold text-accent"
                  : "border-transparent text-soft hover:text-ink",
              )
            }
          >
            {title}
          </NavLink>
        ))}
      </nav>
      <main className="relative min-h-0 flex-1 overflow-auto">
        <Suspense fallback={<p className="p-5 text-soft">{say("Opening …")}</p>}>
          <Chosen what={what} />
        </Suspense>
      </main>
    </div>
  );
}

function Chosen({ what }: { what: What }) {
  switch (what) {
    case "conduit":
      return <FillCheck key="conduit" into="conduit" />;
    case "trunking":
      return <FillCheck key="trunking" into="trunking" />;
    case "box":
      return <BoxCheck />;
    case "pullbox":
      return <PullBoxCheck />;
    case "holes":
      return <EntriesCheck />;
    case "schedule":
      return <ScheduleCheck />;
  }
}
