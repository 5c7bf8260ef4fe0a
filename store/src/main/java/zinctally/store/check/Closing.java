package zinctally.store.check;

import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import zinctally.store.prove.PeriodStore;
import zinctally.store.seal.SealStore;
import zinctally.store.seal.Sealer;

/** Closes a month once everything that must hold in the book holds, and seals it. */
@Service
public class Closing {
  private final CheckRuns checks;
  private final PeriodStore periods;
  private final Sealer sealer;
  private final SealStore seals;

  Closing(CheckRuns checks, PeriodStore periods, Sealer sealer, SealStore seals) {
    this.sealer = sealer;
    this.seals = seals;
    this.checks = checks;
    this.periods = periods;
  }

  /**
   * @param seen the {@link PeriodStore#fingerprint} of what was shown as unsettled
   * @throws PeriodStore.Wrong when the check finds something, or what is unsettled has changed;
   *     nothing is closed
   */
  public void close(LocalDate month, String seen, String login) throws PeriodStore.Wrong {
    sound();
    periods.close(month, seen, login);
    sealer.seal().ifPresent(s -> seals.closed(month, s.no()));
  }

  private void sound() throws PeriodStore.Wrong {
    CheckRuns.Run run = checks.run("closing");
    if (!run.clean())
      throw new PeriodStore.Wrong(
          "The check before closing found "
              + run.faults()
              + (run.faults() == 1 ? " thing that does" : " things that do")
              + " not hold. Prove, Check names them and how they are put right; nothing is closed.");
  }

  /**
   * The same for all open months up to the last of a year, which is sealed whole.
   *
   * @throws PeriodStore.Wrong when something stands in the way; no month is closed
   */
  public void closeYear(LocalDate last, String seen, String login) throws PeriodStore.Wrong {
    sound();
    List<LocalDate> months = periods.closeThrough(last, seen, login);
    sealer.seal().ifPresent(s -> months.forEach(month -> seals.closed(month, s.no())));
  }
}
