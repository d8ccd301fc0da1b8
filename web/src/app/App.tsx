// Who is signed in decides what there is; the address decides which of it is shown.
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { BrowserRouter, Navigate, Route, Routes } from "react-router";
import { Refused } from "@/api/client";
import { useSession } from "@/api/queries";
import { JobScreen } from "@/features/jobs/JobScreen";
import { JobsScreen } from "@/features/jobs/JobsScreen";
import { SignIn } from "@/features/signin/SignIn";
import { Waiting } from "@/ui/Waiting";

const PlannerScreen = lazy(() => import("@/features/planner/PlannerScreen"));
const BoxScreen = lazy(() => import("@/features/boxes/BoxScreen"));
const CheckScreen = lazy(() => import("@/features/check/CheckScreen"));
const SheetScreen = lazy(() => import("@/features/sheet/SheetScreen"));

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof Refused && error.status === 0 && count < 2,
      refetchOnWindowFocus: false,
    },
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
  if (session.isPending) {
    return <Waiting what="Opening Yarrow" />;
  }
  if (session.isError) {
    return <Waiting what="Yarrow can't be reached." retry={() => void session.refetch()} />;
  }
  if (!session.data.member) {
    return <SignIn />;
  }
  return (
    <BrowserRouter>
      <Suspense fallback={<Waiting what="Opening" />}>
        <Routes>
          <Route path="/" element={<JobsScreen />} />
          <Route path="/jobs/:jobId" element={<JobScreen />} />
          <Route path="/runs/:runId" element={<PlannerScreen />} />
          <Route path="/runs/:runId/sheet" element={<SheetScreen />} />
          <Route path="/jobs/:jobId/box" element={<BoxScreen />} />
          <Route path="/check/:what?" element={<CheckScreen />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </Suspense>
    </BrowserRouter>
  );
}
