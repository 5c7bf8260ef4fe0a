package zinctally.store.posting;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import org.springframework.stereotype.Service;
import zinctally.store.Audit;
import zinctally.store.Refused;
import zinctally.store.book.Catalogues;

/** Approves orders and ends them, each in one transaction. */
@Service
public class Ordering {
  private final Catalogues catalogues;
  private final PaperRows rows;
  private final Orders orders;
  private final Audit audit;
  private final Holding holding;
  private final Clock clock;

  Ordering(
      Catalogues catalogues,
      PaperRows rows,
      Orders orders,
      Audit audit,
      Holding holding,
      Clock clock) {
    this.catalogues = catalogues;
    this.rows = rows;
    this.orders = orders;
    this.audit = audit;
    this.holding = holding;
    this.clock = clock;
  }

  /**
   * Ends an order: the rest of it will not come.
   *
   * @throws Refused when nothing of it is still to come
   */
  public void end(long order, String login) {
    holding.work(
        items -> {
          PaperRows.Posted head = rows.head(order, true).orElseThrow();
          holding.ofPosted(order, items, catalogues.held(0, false));
          orders.end(head, LocalDate.now(clock), LocalDateTime.now(clock), login);
          audit.write(login, "paper", order, "cancelled the rest of " + head.number(), "");
          return order;
        });
  }

  /**
   * Approves an order, so that its goods may come.
   *
   * @throws Refused when that is not for this person to do
   */
  public void approve(long order, String login) {
    holding.work(
        items -> {
          PaperRows.Posted head = rows.head(order, true).orElseThrow();
          orders.approve(head, LocalDateTime.now(clock), login);
          audit.write(login, "paper", order, "approved " + head.number(), "");
          return order;
        });
  }
}
