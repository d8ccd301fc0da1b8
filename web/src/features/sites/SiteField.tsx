// A value of a site where it is typed, with what is wrong with it; a row that can be taken out.
import type { ReactNode } from "react";
import { IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { InlineInput } from "@/ui/InlineInput";
import { useTyped } from "@/ui/useTyped";
import type { EditingSite } from "./useSite";

type Props = {
  editing: EditingSite;
  path: string;
  label: string;
  value: string | number | undefined;
  onType: (text: string) => void;
  text?: boolean;
  placeholder?: string;
};

export function SiteField({ editing, path, label, value, onType, text, placeholder }: Props) {
  const level = editing.plan?.findings.find((finding) => finding.path === path)?.level;
  return (
    <InlineInput
      data-path={path}
      label={label}
      value={value === undefined ? "" : String(value)}
      problem={editing.problems.get(path)}
      level={level}
      look={text ? "text" : "number"}
      placeholder={placeholder}
      onType={onType}
    />
  );
}

type NumberProps = {
  path: string;
  label: string;
  value: number;
  onNumber: (value: number) => void;
};

/** A plain number: what is half typed stays in the field, and changes nothing. */
export function SiteNumber({ path, label, value, onNumber }: NumberProps) {
  const { text, setTyped, forget } = useTyped(shown(value));
  const type = (typed: string) => {
    setTyped(typed);
    const number = Number(typed.replace(",", ".").replace("−", "-"));
    if (typed.trim() !== "" && Number.isFinite(number)) {
      onNumber(number);
    }
  };
  return <InlineInput data-path={path} label={label} value={text} onType={type} onBlur={forget} />;
}

type NamesProps = {
  path: string;
  label: string;
  names: readonly string[];
  problem: string | undefined;
  onNames: (names: string[]) => void;
};

/** Names between commas; a comma that is half typed stays in the field. */
export function SiteNames({ path, label, names, problem, onNames }: NamesProps) {
  const { text, setTyped, forget } = useTyped(names.join(", "));
  return (
    <InlineInput
      data-path={path}
      label={label}
      value={text}
      look="text"
      placeholder="nothing said"
      problem={problem}
      onType={(typed) => {
        setTyped(typed);
        onNames(
          typed
            .split(",")
            .map((name) => name.trim())
            .filter((name) => name !== ""),
        );
      }}
      onBlur={forget}
    />
  );
}

type PointsProps = {
  path: string;
  label: string;
  points: readonly (readonly number[])[];
  problem: string | undefined;
  onPoints: (points: number[][]) => void;
};

/** Points between commas, each as how far east and how far north it is: `22 30, 64 30`. */
export function SitePoints({ path, label, points, problem, onPoints }: PointsProps) {
  const { text, setTyped, forget } = useTyped(points.map((point) => point.join(" ")).join(", "));
  return (
    <InlineInput
      data-path={path}
      label={label}
      value={text}
      look="text"
      placeholder="none"
      problem={problem}
      onType={(typed) => {
        setTyped(typed);
        const read = typed
          .split(",")
          .map((point) => point.trim().split(/\s+/).map(Number))
          .filter((point) => point.length === 2 && point.every(Number.isFinite));
        onPoints(read);
      }}
      onBlur={forget}
    />
  );
}

function shown(value: number): string {
  return String(Math.round(value * 100) / 100);
}

export function SiteRow({
  mark,
  out,
  onOut,
  children,
}: {
  mark: string;
  out: string;
  onOut: () => void;
  children: ReactNode;
}) {
  return (
    <li className="relative pr-9" data-row={mark}>
      {children}
      <span className="absolute top-0 right-0">
        <IconButton label={out} onClick={onOut}>
          <Icon name="close" className="size-4" />
        </IconButton>
      </span>
    </li>
  );
}
