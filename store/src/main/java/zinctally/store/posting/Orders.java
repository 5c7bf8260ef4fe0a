package zinctally.store.posting;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.core.papers.order.Ordered;
import zinctally.store.Refused;

/** What is kept of orders beyond their lines: dates, approval, end. */
@Component
class Orders implements Follower {
  private final JdbcClient sql;
  private final Awaiting awaiting;

  Orders(JdbcClient sql, Awaiting awaiting) {
    this.sql = sql;
    this.awaiting = awaiting;
  }

  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.ORDERS);
  }

  /**
   * A new order or its next version; it is approved at once when nobody needs to, it comes to too
   * little, or nobody else could.
   */
  @Override
  public void posted(Posted what) {
    Ordered order = (Ordered) what.paper();
    boolean ours = !order.kind().isWith(Party.Kind.CUSTOMER);
    boolean small = ours && isSmall(order);
    boolean approved = !ours || small || mayApprove(what.login()) && !approver(what.login());
    sql.sql(
            """
            insert into order_head (paper_id, expected, notes, approved_at, approved_by)
            values (?, ?, ?, ?, ?)
            on duplicate key update expected = values(expected), notes = values(notes),
              approved_at = values(approved_at), approved_by = values(approved_by),
              ended_at = null, ended_by = null
            """)
        .param(what.id())
        .param(order.expected())
        .param(order.notes())
        .param(approved ? what.now() : null)
        .param(approved && !small ? what.login() : null)
        .update();
  }

  private boolean isSmall(Ordered order) {
    return sql.sql("select ? < approve_from from book where id = 1")
        .param(order.total())
        .query(Boolean.class)
        .single();
  }

  /** Whether nobody needs to, or this person has the role, or is the owner. */
  private boolean mayApprove(String login) {
    return sql.sql(
            """
            select b.approver = '' or exists (select 1 from app_user u
              where u.login = ? and u.active and u.role in ('OWNER', b.approver))
            from book b where b.id = 1
            """)
        .param(login)
        .query(Boolean.class)
        .single();
  }

  /** Whether orders are approved and somebody else than this person could. */
  private boolean approver(String besides) {
    return sql.sql(
            """
            select b.approver <> '' and exists (select 1 from app_user u
              where u.login <> ? and u.active and u.role in ('OWNER', b.approver))
            from book b where b.id = 1
            """)
        .param(besides)
        .query(Boolean.class)
        .single();
  }

  private static void standing(PaperRows.Posted order) {
    if (!order.kind().is(Trait.ORDERS) || order.isVoid())
      throw new Refused(List.of(Fault.whole(order.number() + " is no order that stands.")));
  }

  void approve(PaperRows.Posted order, LocalDateTime now, String login) {
    standing(order);
    if (!mayApprove(login))
      throw new Refused(
          List.of(Fault.whole("Approving orders is for others; Set up says for whom.")));
    String writer =
        sql.sql("select posted_by from paper where id = ?")
            .param(order.id())
            .query(String.class)
            .single();
    if (writer.equals(login) && approver(login))
      throw new Refused(
          List.of(
              Fault.whole(
                  "You wrote " + order.number() + " as it stands; somebody else approves it.")));
    sql.sql(
            "update order_head set approved_at = ?, approved_by = ?"
                + " where paper_id = ? and approved_at is null")
        .params(now, login, order.id())
        .update();
  }

  void end(PaperRows.Posted order, LocalDate on, LocalDateTime now, String login) {
    standing(order);
    LocalDate day = on.isBefore(order.date()) ? order.date() : on;
    awaiting.end(order.id(), day);
    int done =
        sql.sql(
                "update order_head set ended_at = ?, ended_by = ?"
                    + " where paper_id = ? and ended_at is null")
            .params(now, login, order.id())
            .update();
    if (done == 0)
      throw new Refused(
          List.of(Fault.whole("The rest of " + order.number() + " is cancelled already.")));
  }
}
