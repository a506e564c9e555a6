import { type SessionState, type SessionStore } from "./session-state";

/** One step of undo for each field or drag, from where it begins to where it is committed. */
export function undoOf(store: SessionStore) {
  const history = store.temporal;
  const get = store.getState;
  /** The piece before the field or drag at hand, while one is. */
  let before: Pick<SessionState, "piece" | "unmeasured"> | null = null;

  /** Opens a step of undo, which `commit` closes. */
  function begin(): void {
    if (before !== null) return;
    const { piece, unmeasured } = get();
    before = { piece, unmeasured };
    history.getState().pause();
  }

  /** Opens a step of undo for a drag, in whose time drawings keep their scale. */
  function hold(): void {
    begin();
    store.setState({ isHeld: true });
  }

  /** Closes the step of undo that typing or dragging opened. */
  function commit(): void {
    if (get().isHeld) store.setState({ isHeld: false });
    if (before === null) return;
    const { piece, unmeasured } = get();
    const [first, last] = [before, { piece, unmeasured }];
    before = null;
    if (JSON.stringify(first) === JSON.stringify(last)) return history.getState().resume();
    store.setState(first);
    history.getState().resume();
    store.setState(last);
  }

  return {
    history,
    begin,
    hold,
    commit,

    undo: (): void => {
      commit();
      history.getState().undo();
    },

    redo: (): void => {
      commit();
      history.getState().redo();
    },
  };
}
