package zinctally.core.papers.read;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;

/** What is wrong with a draft, what is asked about it, and what to look at twice. */
public abstract class Findings {
  private final Set<String> agreed;
  private final List<Fault> faults = new ArrayList<>();
  private final List<Fault> notes = new ArrayList<>();
  private final Set<Integer> wrong = new HashSet<>();

  Findings(Draft draft) {
    agreed = Set.copyOf(List.of(draft.field(Draft.AGREED).split("\\s+")));
  }

  /**
   * Something unusual that may be right: it stops the paper until it is answered with yes, for
   * exactly what it says.
   */
  public void ask(String cell, String says) {
    Fault question = new Fault(cell, says).asked();
    boolean answered = agreed.contains(question.question());
    if (answered) note(cell, says);
    else fault(question);
  }

  /** Whether nothing is wrong, as far as it has been read. */
  public boolean sound() {
    return faults.isEmpty();
  }

  /** What is wrong so far. */
  List<Fault> faults() {
    return faults;
  }

  public void fault(String cell, String says) {
    fault(new Fault(cell, says));
  }

  /** Takes up a fault that was found elsewhere. */
  public void fault(Fault fault) {
    faults.add(fault);
    wrong.add(fault.row());
  }

  public void note(String cell, String says) {
    note(new Fault(cell, says));
  }

  /** Something to look at twice; it does not stop the paper. */
  public void note(Fault note) {
    notes.add(note);
  }

  /** What is to be looked at twice so far. */
  List<Fault> notes() {
    return notes;
  }

  /** Whether nothing is wrong in a row, from zero. */
  boolean sound(int row) {
    return !wrong.contains(row);
  }
}
