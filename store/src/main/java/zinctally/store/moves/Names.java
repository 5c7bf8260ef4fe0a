package zinctally.store.moves;

import zinctally.core.cost.EventKind;
import zinctally.core.moves.Moves;

/** Which row each ref means, and whether who names it may. */
final class Names {
  private final Moves named;
  private final Findings faults;
  private final Refs refs;

  Names(Moves named, Findings faults) {
    this.named = named;
    this.faults = faults;
    refs = new Refs(named);
  }

  /** Takes a row under its ref; one that stands already is a fault. */
  void take(int row) {
    String ref = named.ref(row);
    int same = ref.isEmpty() ? -1 : refs.find(ref);
    if (same >= 0)
      faults.add(named.line(row), "ref \"" + ref + "\" stands already on line " + named.line(same));
    else if (!ref.isEmpty()) refs.add(row);
  }

  /** The row that a row means by its target; -1 when there is none it may name, a fault then. */
  int meant(int line, int item, EventKind kind, String target) {
    EventKind needed =
        switch (kind) {
          case BACK -> EventKind.OUT;
          case CHARGE, OUT -> EventKind.IN;
          case IN, REVALUE -> null;
        };
    int at = refs.find(target);
    String wrong;
    if (needed == null) wrong = "is given; this event has none";
    else if (at < 0) wrong = "is no ref in this file";
    else if (named.kind(at) != needed) wrong = "is not an " + needed.word();
    else if (named.item(at) != item) wrong = "belongs to another item";
    else return at;
    faults.add(line, "target \"" + target + "\" " + wrong);
    return -1;
  }
}
