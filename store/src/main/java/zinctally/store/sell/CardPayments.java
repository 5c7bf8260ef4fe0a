package zinctally.store.sell;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.sql.NewRow;

/**
 * What cards were asked for at the counter. A payment is written down before the reader is asked
 * and again once it has answered, so that after a crash in between nobody is charged unseen.
 * Amounts are minor units.
 */
@Repository
public class CardPayments {
  private final JdbcClient sql;
  private final Clock clock;

  CardPayments(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  /** How far a payment is. */
  public enum State {
    /** The reader is asked and has not answered. */
    ASKED("asked, no answer"),
    /** The card is charged and the sale not booked yet. */
    CHARGED("charged, not booked"),
    DECLINED("declined"),
    /** The sale that it pays is posted. */
    BOOKED("booked"),
    /** It is to be given back and could not be yet. */
    DUE_BACK("to be given back"),
    /** It is given back. */
    BACK("given back");

    private final String words;

    State(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * @param reference the reader's own number; empty while it has not answered
   */
  public record Payment(long id, long draft, long amount, State state, String reference) {
    /** By which the reader knows it: its own, never used for another. */
    public String key() {
      return "P" + id;
    }

    public Payment in(State other) {
      return new Payment(id, draft, amount, other, reference);
    }

    /** Whether the card may have paid for what is not booked. */
    public boolean unsettled() {
      return state == State.ASKED || state == State.CHARGED || state == State.DUE_BACK;
    }
  }

  /**
   * Writes down that a card is about to be asked.
   *
   * @return empty when a payment for the same sale is under way
   */
  public Optional<Payment> begin(long draft, long amount, String login) {
    long id;
    try {
      id =
          NewRow.id(
              sql.sql(
                      "insert into card_payment (draft_id, amount, state, at, login)"
                          + " values (?, ?, 'ASKED', ?, ?)")
                  .params(draft, amount, LocalDateTime.now(clock), login));
    } catch (DuplicateKeyException underWay) {
      return Optional.empty();
    }
    return Optional.of(new Payment(id, draft, amount, State.ASKED, ""));
  }

  /** A payment of a sale that is asked for or charged and not booked. */
  public Optional<Payment> underWay(long draft) {
    return of("under_way = ?", draft).stream().findFirst();
  }

  public Optional<Payment> find(long id) {
    return of("id = ?", id).stream().findFirst();
  }

  /** Payments that are booked with a paper. */
  public List<Payment> booked(long paper) {
    return of("state = 'BOOKED' and paper_id = ?", paper);
  }

  private List<Payment> of(String which, long value) {
    return sql.sql("select * from card_payment where " + which)
        .param(value)
        .query(
            (row, n) ->
                new Payment(
                    row.getLong("id"),
                    row.getLong("draft_id"),
                    row.getLong("amount"),
                    State.valueOf(row.getString("state")),
                    row.getString("reference")))
        .list();
  }

  public void charged(long id, String reference) {
    sql.sql("update card_payment set state = 'CHARGED', reference = ? where id = ?")
        .params(reference, id)
        .update();
  }

  /**
   * Inside the posting of the sale it pays.
   *
   * @throws IllegalStateException when it is not charged any more
   */
  public void booked(long id, long paper) {
    int booked =
        sql.sql(
                "update card_payment set state = 'BOOKED', paper_id = ? where id = ?"
                    + " and state = 'CHARGED'")
            .params(paper, id)
            .update();
    if (booked == 0) throw new IllegalStateException("card payment " + id + " is not charged");
  }

  /**
   * Moves a payment on, if it is still where it was seen.
   *
   * @return false when it was booked, given back or settled meanwhile; nothing has changed
   */
  public boolean moves(Payment seen, State to) {
    return sql.sql("update card_payment set state = ? where id = ? and state = ?")
            .params(to.name(), seen.id(), seen.state().name())
            .update()
        > 0;
  }

  /** How many were asked for or charged some minutes ago and are neither booked nor given back. */
  public long open() {
    return sql.sql(
            "select count(*) from card_payment where state = 'DUE_BACK'"
                + " or state in ('ASKED', 'CHARGED') and at < ?")
        .param(LocalDateTime.now(clock).minusMinutes(2))
        .query(Long.class)
        .single();
  }
}
