// Who is signed in decides what there is; the address decides which of it is shown.
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, type ReactNode, Suspense, useEffect, useState } from "react";
import { BrowserRouter, Navigate, Route, Routes, useLocation } from "react-router";
import { onSignedOut, Refused } from "@/api/client";
import { useSession } from "@/api/queries";
import { bringOver } from "@/model/oldDrafts";
import { Boundary } from "@/ui/Boundary";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { onceOpened } from "@/ui/onceOpened";
import { say } from "@/words/say";
import { FailedRoute } from "./FailedRoute";
import { Renewed } from "./Renewed";
import { SCREENS } from "./screens";

const EnterScreen = lazy(() => import("@/features/enter/EnterScreen"));
const SignIn = lazy(async () => ({ default: (await import("@/features/signin/SignIn")).SignIn }));
// Fetched while all is well: a newer server may not have this page's files any more.
const SignInAgain = onceOpened(
  async () => (await import("@/features/signin/SignInAgain")).SignInAgain,
);

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof Refused && error.status === 0 && count < 2,
      refetchOnWindowFocus: false,
      // Without a network this device answers.
      networkMode: "always",
    },
    mutations: { networkMode: "always" },
  },
});

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <Inside />
    </QueryClientProvider>
  );
}

function Inside() {
  const session = useSession();
  const [ended, setEnded] = useState(false);
  const [entering, setEntering] = useState(() => window.location.pathname === "/enter");
  const member = session.data?.member?.username;
  useEffect(() => onSignedOut(() => setEnded(true)), []);
  useEffect(() => {
    if (member) {
      void bringOver(member).catch(() => undefined);
    }
  }, [member]);
  if (session.isPending) {
    return <LoadingScreen what={say("Opening Yarrow")} />;
  }
  if (session.isError) {
    return (
      <LoadingScreen what={say("Yarrow can't be reached.")} retry={() => void session.refetch()} />
    );
  }
  if (entering) {
    const done = () => {
      window.history.replaceState(null, "", "/");
      setEntering(false);
    };
    return (
      <Suspense fallback={<LoadingScreen what={say("Opening Yarrow")} />}>
        <EnterScreen done={done} />
      </Suspense>
    );
  }
  if (!member) {
    return (
      <Suspense fallback={<LoadingScreen what={say("Opening Yarrow")} />}>
        <SignIn />
      </Suspense>
    );
  }
  return (
    <BrowserRouter>
      <Screens />
      <Renewed />
      <SignInAgain open={ended} member={member} done={() => setEnded(false)} />
    </BrowserRouter>
  );
}

function Screens() {
  const screen = (element: ReactNode) => <Guarded>{element}</Guarded>;
  return (
    <Suspense fallback={<LoadingScreen what={say("Opening")} />}>
      <Routes>
        {SCREENS.map(({ path, Screen }) => (
          <Route key={path} path={path} element={screen(<Screen />)} />
        ))}
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </Suspense>
  );
}

/** One screen: what fails in it leaves the others alone. */
function Guarded({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <Boundary
      key={pathname}
      fallback={(error, again) => <FailedRoute path={pathname} error={error} again={again} />}
    >
      {children}
    </Boundary>
  );
}
