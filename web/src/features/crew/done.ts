// What an entry of the record says, by the name of the operation that was done.
import type { RecordEntry } from "@/api/crew";
import { say } from "@/words/say";

const WHOLE: Readonly<Record<string, string>> = {
  sign_in: say("Signed in"),
  sign_in_refused: say("Somebody had the wrong password"),
  second_factor_refused: say("Somebody had the password and a wrong code"),
  begin_second_factor: say("Began a second factor"),
  confirm_second_factor: say("Turned a second factor on"),
  begin_passkey: say("Began a passkey"),
  add_passkey: say("Added a passkey"),
  take_off_passkey: say("Took a passkey off"),
  turn_off_second_factor: say("Turned the second factor off"),
  reset_second_factor: say("Took off somebody's second factor"),
  forget_person: say("Somebody who was put out was forgotten"),
  export_crew: say("All of the crew was written into a file"),
  take_in_crew: say("The jobs of another crew's file came in"),
  sign_out: say("Signed out"),
  join_crew: say("Came into the crew"),
  take_password: say("Took a new password by a link"),
  change_password: say("Changed the password"),
  password_link: say("A link to a new password was made by whoever runs the server"),
  make_password_link: say("Made a link to a new password"),
  end_session: say("Signed out somewhere else"),
  end_other_sessions: say("Signed out everywhere else"),
  first_crew: say("A link for whoever leads the crew was made"),
  invite: say("Invited somebody"),
  withdraw_invitation: say("Withdrew an invitation"),
  link_refused: say("A link was refused"),
  change_member: say("Changed what somebody is"),
  put_out: say("Put somebody out of the crew"),
  let_in_again: say("Let somebody in again"),
  bring_in_job: say("Brought in a job"),
  bring_in_job_with_progress: say("Brought in a job"),
  take_schedule: say("Took in a wire schedule"),
  cut_now: say("Cut what was on the cut list"),
  learn_bender: say("Measured bends of a bender"),
  set_stage: say("Said how far a run is"),
  move_run: say("Moved a run to another job"),
  duplicate_run: say("Copied a run"),
  add_site_picture: say("Put a picture under a plan"),
  pair_gauge: say("Paired a gauge"),
};

/** What was done to a document, before the name of its kind. */
const DONE: readonly (readonly [string, (what: string) => string])[] = [
  ["bring_back_", (what) => say("Brought back: {what}", { what })],
  ["restore_", (what) => say("Took up an earlier version: {what}", { what })],
  ["remove_", (what) => say("Removed: {what}", { what })],
  ["create_", (what) => say("Made: {what}", { what })],
  ["add_", (what) => say("Made: {what}", { what })],
  ["change_", (what) => say("Changed: {what}", { what })],
  ["save_", (what) => say("Changed: {what}", { what })],
];

const WHAT: Readonly<Record<string, string>> = {
  at_bench: say("a piece at the bench"),
  bender: say("a bender"),
  box: say("a box"),
  fittings: say("the crew's fittings"),
  job: say("a job"),
  run: say("a run"),
  site: say("ducts"),
  stock: say("a job's stock"),
  wall: say("a wall"),
};

/** What was done, in words. */
export function doneInWords({ did }: RecordEntry): string {
  const whole = WHOLE[did];
  if (whole) {
    return whole;
  }
  for (const [prefix, sentence] of DONE) {
    if (did.startsWith(prefix)) {
      const what = did.slice(prefix.length);
      return sentence(WHAT[what] ?? what.replaceAll("_", " "));
    }
  }
  return did.replaceAll("_", " ");
}

/** Where what it was done to can be opened, if that is a screen; else nothing. */
export function addressOf({ did, about }: RecordEntry): string {
  if (did.startsWith("remove_")) {
    return "";
  }
  for (const [name, path] of [
    ["run_id", "runs"],
    ["wall_id", "walls"],
    ["site_id", "sites"],
    ["job_id", "jobs"],
  ] as const) {
    const id = about[name];
    if (typeof id === "string" && /^\d+$/.test(id)) {
      return `/${path}/${id}`;
    }
  }
  return "";
}
