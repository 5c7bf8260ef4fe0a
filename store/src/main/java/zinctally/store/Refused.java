package zinctally.store;

import java.util.List;
import zinctally.core.papers.Fault;

/** A paper that was not posted; nothing has changed. */
public final class Refused extends RuntimeException {
  private final transient List<Fault> faults;

  public Refused(List<Fault> faults) {
    super(faults.stream().map(Fault::says).toList().toString());
    this.faults = List.copyOf(faults);
  }

  /** Refused for one reason that is about the whole of it. */
  public static Refused because(String says) {
    return new Refused(List.of(Fault.whole(says)));
  }

  public List<Fault> faults() {
    return faults;
  }
}
