// Which tab this is: kept through a reload, and never shared with a tab that was copied from it.

const KEY = "yarrow.tab";

let mine = "";

/** This tab's name. */
export function tabName(): string {
  return mine;
}

/** Gives this tab its name; called once, before anything is drawn. */
export async function nameTab(): Promise<void> {
  mine = stored() || crypto.randomUUID();
  if (!(await held(mine))) {
    // Another tab has it: this one was duplicated from that.
    mine = crypto.randomUUID();
    await held(mine);
  }
  try {
    sessionStorage.setItem(KEY, mine);
  } catch {
    // After a reload this tab's own drafts are then offered like those of another.
  }
}

/** The names of the tabs that are open. */
export async function openTabs(): Promise<ReadonlySet<string>> {
  const { held: locks = [] } = (await navigator.locks?.query()) ?? {};
  return new Set(locks.map(({ name = "" }) => name.replace(`${KEY}.`, "")));
}

function stored(): string {
  try {
    return sessionStorage.getItem(KEY) ?? "";
  } catch {
    return "";
  }
}

/** Holds a name for as long as the tab is open; false where another one holds it. */
function held(name: string): Promise<boolean> {
  if (!navigator.locks) {
    return Promise.resolve(true);
  }
  return new Promise((resolve) => {
    void navigator.locks.request(`${KEY}.${name}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise(() => undefined) : undefined;
    });
  });
}
