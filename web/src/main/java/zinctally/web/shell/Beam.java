package zinctally.web.shell;

import java.time.LocalDateTime;
import java.util.Optional;
import zinctally.core.proof.Proof;
import zinctally.store.check.CheckRuns;

/**
 * What the beam says: in step when stock book and ledger agree now, no journal by hand has put
 * items apart since the latest check, and that has found that both are what replaying every paper
 * gives.
 *
 * @param level whether its pans hang level
 * @param verdict in words
 * @param href where it is explained
 */
record Beam(Proof.Balance balance, boolean level, String verdict, String href) {
  /** A check older than this says nothing about today. */
  private static final int DAYS = 2;

  static Beam of(
      Proof.Balance balance,
      boolean apartByHand,
      Optional<CheckRuns.Run> latest,
      LocalDateTime now,
      Say say) {
    if (!balance.inStep())
      return new Beam(
          balance,
          false,
          balance.apart() == 0
              ? "apart by account"
              : "apart by " + say.money(Math.abs(balance.apart())),
          "/prove");
    if (apartByHand) return new Beam(balance, false, "apart by item", "/prove");
    if (latest.isEmpty() || latest.get().beganAt().isBefore(now.minusDays(DAYS)))
      return new Beam(balance, true, "not checked yet", "/prove/check");
    if (!latest.get().clean())
      return new Beam(balance, false, "check found " + latest.get().faults(), "/prove/check");
    return new Beam(balance, true, "in step", "/prove");
  }

  /** Whether all three agree. */
  public boolean inStep() {
    return verdict.equals("in step");
  }
}
