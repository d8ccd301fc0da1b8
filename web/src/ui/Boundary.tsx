// What fails inside is shown as that, and the rest of the page goes on.
import { Component, type ReactNode } from "react";

type Props = {
  readonly children: ReactNode;
  /** What stands in its place; `again` tries the same once more. */
  readonly fallback: (error: Error, again: () => void) => ReactNode;
};

export class Boundary extends Component<Props, { error: Error | null }> {
  override state: { error: Error | null } = { error: null };

  static getDerivedStateFromError(error: Error): { error: Error } {
    return { error };
  }

  override render(): ReactNode {
    const { error } = this.state;
    return error
      ? this.props.fallback(error, () => this.setState({ error: null }))
      : this.props.children;
  }
}
