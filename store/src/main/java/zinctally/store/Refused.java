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

  public List<Fault> faults() {
    return faults;
  }
}
