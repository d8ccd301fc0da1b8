// The worked sum of a box, so that an inspector can follow it, and what would make it do.
import { Button } from "@/ui/Button";
import { say } from "@/words/say";
import { trimmed } from "@/words/text";
import type { BoxResult } from "./boxResult";

export function BoxSum({ answer, take }: { answer: BoxResult; take?: (box: string) => void }) {
  const other = answer.passes ? null : (answer.smallest_alike ?? answer.smallest);
  return (
    <>
      <table className="w-full text-sm" data-sum>
        <thead className="text-xs text-soft">
          <tr>
            <th className="text-left font-normal">{say("what is in it")}</th>
            <th className="text-right font-normal">{say("allowances")}</th>
            <th className="pl-4 text-right font-normal">{say("of size")}</th>
            <th className="pl-4 text-right font-normal">{say("each, in³")}</th>
            <th className="pl-4 text-right font-normal">in³</th>
          </tr>
        </thead>
        <tbody>
          {answer.lines.map((line) => (
            <tr key={`${line.what} ${line.size}`} className="border-t border-line">
              <td className="py-1">{line.what}</td>
              <td className="text-right">{trimmed(line.allowances)}</td>
              <td className="text-right">{line.size}</td>
              <td className="pl-3 text-right">{line.each.toFixed(2)}</td>
              <td className="pl-3 text-right font-semibold">{line.volume.toFixed(2)}</td>
            </tr>
          ))}
          <tr className="border-t-2 border-ink font-bold">
            <td className="py-1" colSpan={4}>
              {say("Needed")}
            </td>
            <td className="text-right">{answer.needed.toFixed(2)}</td>
          </tr>
        </tbody>
      </table>
      {answer.smallest_name || !answer.passes ? (
        <p className="text-sm">
          <span className="text-soft">{say("Smallest standard box:")} </span>
          {answer.smallest_name || say("none is large enough")}
          {answer.smallest_alike && answer.smallest_alike !== answer.smallest ? (
            <span className="text-soft">
              {say("; of this shape {smallestAlike}", { smallestAlike: answer.smallest_alike })}
            </span>
          ) : null}
        </p>
      ) : null}
      {answer.to_pass.length > 0 ? (
        <div className="text-sm">
          <p className="font-semibold">{say("What would make this one do")}</p>
          <ul className="list-disc pl-5">
            {answer.to_pass.map((way) => (
              <li key={way}>{way}</li>
            ))}
          </ul>
        </div>
      ) : null}
      {other && take ? (
        <div>
          <Button onClick={() => take(other)}>{say("Take {other}", { other })}</Button>
        </div>
      ) : null}
    </>
  );
}
