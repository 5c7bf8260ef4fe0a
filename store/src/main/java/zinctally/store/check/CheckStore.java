package zinctally.store.check;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Repository;
import zinctally.store.OneMoment;
import zinctally.store.prove.PeriodStore;
import zinctally.store.prove.TieOutStore;
import zinctally.store.seal.Verifying;

/** Everything that must always hold of a book, checked while it is in use. Changes nothing. */
@Repository
public class CheckStore {
  private static final int NAMED = 20;
  private final SumChecks sums;
  private final ReplayCheck replay;
  private final TieOutStore tieOut;
  private final PeriodStore periods;
  private final OneMoment moment;
  private final Verifying seals;

  CheckStore(
      SumChecks sums,
      ReplayCheck replay,
      TieOutStore tieOut,
      PeriodStore periods,
      OneMoment moment,
      Verifying seals) {
    this.seals = seals;
    this.sums = sums;
    this.replay = replay;
    this.tieOut = tieOut;
    this.periods = periods;
    this.moment = moment;
  }

  /** All findings, of one and the same moment. */
  public List<Finding> findings() {
    List<Finding> findings =
        moment.of(
            () -> {
              List<Finding> all = new ArrayList<>(sums.findings());
              all.add(replay.finding());
              all.add(controls());
              return all;
            });
    // what is sealed never changes, so that it needs no moment of its own
    for (Verifying.Verified v : seals.all())
      findings.add(
          new Finding(
              v.what(),
              v.looked(),
              v.faults().subList(0, Math.min(NAMED, v.faults().size())),
              v.faults().size()));
    return findings;
  }

  /** As the screens show it: at every month's end and in the end. */
  private Finding controls() {
    List<String> faults = new ArrayList<>();
    List<LocalDate> dates =
        new ArrayList<>(periods.periods().stream().map(PeriodStore.Period::end).toList());
    for (LocalDate date : dates) {
      for (TieOutStore.AccountLine line : tieOut.byAccount(date))
        if (line.book() != line.ledger())
          faults.add(
              line.label() + " on " + date + ": " + line.book() + " against " + line.ledger());
      for (TieOutStore.Control control : tieOut.controls(date))
        if (!control.agrees() && !control.role().equals("OPENING_CLEARING"))
          faults.add(
              control.name()
                  + " on "
                  + date
                  + ": "
                  + control.ledger()
                  + " against "
                  + control.counted());
    }
    return new Finding(
        "control accounts tie out at every month's end", dates.size(), faults, faults.size());
  }
}
