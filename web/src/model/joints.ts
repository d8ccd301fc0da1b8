// What a person can change of how a run is parted, as functions from document to document.
import type { Change } from "./commands";
import type { RunDocument } from "./document";
import { withoutUndefined } from "./without";

export type Joints = NonNullable<RunDocument["joints"]>;
export type JointSaid = NonNullable<Joints["places"]>[number];
type EndState = NonNullable<NonNullable<Joints["ends"]>["start"]>;
type Closing = NonNullable<Joints["closing"]>;
type Found = { readonly leg: number; readonly at: string };

/** Where joints were found to lie, as the tape has it. */
export function whereFound(
  joints: readonly { readonly leg: number; readonly at_text: string }[],
): Found[] {
  return joints.map(({ leg, at_text }) => ({ leg, at: at_text }));
}

function asSaid({ leg, at }: Found): JointSaid {
  return leg === 1 ? { at } : { leg, at };
}

/** Part the run, where Yarrow says. */
export function partIt(): Change {
  return (document) => ({ ...document, joints: {} });
}

/** One piece again. */
export function inOnePiece(): Change {
  return ({ joints: _, ...document }) => document;
}

/** Another coupling or stick; `undefined`: the usual one. */
export function setJoints(fields: { [K in keyof Joints]?: Joints[K] | undefined }): Change {
  return (document) => {
    const joints = withoutUndefined<Joints>({ ...document.joints, ...fields });
    return { ...document, joints };
  };
}

/** Joints where a way has them, from then on a person's own; none: left to Yarrow. */
export function takePlaces(found: readonly Found[] | null): Change {
  const places = found?.map(asSaid);
  return setJoints({ places: places && places.length > 0 ? places : undefined });
}

/** How an end of the run is held while it is put up. */
export function setEnd(end: "start" | "end", state: EndState): Change {
  return (document) => {
    const held = state === "fixed" ? undefined : state;
    const ends = withoutUndefined<NonNullable<Joints["ends"]>>({
      ...document.joints?.ends,
      [end]: held,
    });
    return setJoints({ ends: Object.keys(ends).length > 0 ? ends : undefined })(document);
  };
}

/** Close the run like this from now on; with `found` where its joints lie then, if it takes one more. */
export function takeClosing(closing: Closing, found: readonly Found[]): Change {
  return (document) => {
    const closed = setJoints({ closing })(document);
    return found.length > 0 ? takePlaces(found)(closed) : closed;
  };
}

type StandsNear = NonNullable<Joints["near"]>[number];

/** What stands near the run, changed at a place of the list; `null`: it does not. */
export function setNear(at: number, fields: Partial<StandsNear> | null): Change {
  return (document) => {
    const before = document.joints?.near ?? [];
    const one = { what: "floor", toward: "right", off: "", ...before[at], ...fields } as const;
    const near = fields === null ? before.toSpliced(at, 1) : before.toSpliced(at, 1, one);
    return setJoints({ near: near.length > 0 ? near : undefined })(document);
  };
}

/** Whether a leg, counted from 1, stands upright. */
export function setUpright(leg: number, stands: boolean): Change {
  return (document) => {
    const others = (document.joints?.upright ?? []).filter((each) => each !== leg);
    const upright = stands ? [...others, leg].toSorted((a, b) => a - b) : others;
    return setJoints({ upright: upright.length > 0 ? upright : undefined })(document);
  };
}

/** Whether the piece that goes up last is cut by its figure, or once it was held where it belongs. */
export function setCut(cut: "plan" | "offered"): Change {
  return setJoints({ cut: cut === "plan" ? undefined : cut });
}

export function ticked(done: readonly string[], id: string): boolean {
  return done.includes(id);
}

/** Tick an item of work off, or open it again. */
export function tick(id: string, isDone: boolean): Change {
  return ({ done = [], ...document }) => {
    const others = done.filter((each) => each !== id);
    const next = isDone ? [...others, id] : others;
    return next.length > 0 ? { ...document, done: next } : document;
  };
}

export function setJoint(index: number, fields: Partial<JointSaid>): Change {
  return (document) => {
    const places = document.joints?.places ?? [];
    return setJoints({
      places: places.map((each, at) => (at === index ? { ...each, ...fields } : each)),
    })(document);
  };
}

/** A joint more on a leg, counted from 1, with its place still to be said. */
export function addJoint(leg: number): Change {
  return (document) => {
    const place = leg === 1 ? { at: "" } : { leg, at: "" };
    return setJoints({ places: [...(document.joints?.places ?? []), place] })(document);
  };
}

/** A joint where one may be, beside those that there are: all of them a person's own then. */
export function putJoint(found: readonly Found[], joint: Found): Change {
  return (document) => {
    const own = document.joints?.places ?? [];
    return own.length > 0
      ? setJoints({ places: [...own, asSaid(joint)] })(document)
      : takePlaces([...found, joint])(document);
  };
}

export function removeJoint(index: number): Change {
  return (document) => {
    const places = (document.joints?.places ?? []).filter((_, at) => at !== index);
    return setJoints({ places: places.length > 0 ? places : undefined })(document);
  };
}
