package zinctally.store.people;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.papers.Allowed;
import zinctally.store.Audit;

/** What the owner lets those do and see who do not do the books. */
@Repository
public class RoleMay {
  private final JdbcClient sql;
  private final Audit audit;

  RoleMay(JdbcClient sql, Audit audit) {
    this.sql = sql;
    this.audit = audit;
  }

  /**
   * @param costs whether they see what goods cost and what is earned
   * @param ledger whether they see the ledger
   * @param changes whether they amend and void what is posted
   */
  public record Given(boolean costs, boolean ledger, Allowed selling, boolean changes) {
    public static final Given ALL = new Given(true, true, Allowed.ALL, true);

    /** Of a role of which nothing is kept though it should be. */
    private static final Given NOTHING =
        new Given(false, false, new Allowed(false, BigDecimal.ZERO, false, false), false);

    /**
     * @throws IllegalArgumentException for the ledger without costs: it tells them
     */
    public Given {
      if (ledger && !costs) throw new IllegalArgumentException("the ledger tells what goods cost");
    }
  }

  /** Roles for which it is said, in the order of their rank. */
  public static final List<Person.Role> SAID_FOR = List.of(Person.Role.COUNTER, Person.Role.READER);

  public Given of(Person.Role role) {
    if (!SAID_FOR.contains(role)) return Given.ALL;
    return sql.sql("select * from role_may where role = ?")
        .param(role.name())
        .query(RoleMay::given)
        .optional()
        .orElse(Given.NOTHING);
  }

  /** What somebody may; all for who has no sign-in, such as the program itself. */
  public Given of(String login) {
    return sql.sql("select role from app_user where login = ?")
        .param(login)
        .query(Person.Role.class)
        .optional()
        .map(this::of)
        .orElse(Given.ALL);
  }

  private static Given given(ResultSet row, int n) throws SQLException {
    return new Given(
        row.getBoolean("costs"),
        row.getBoolean("ledger"),
        new Allowed(
            row.getBoolean("any_price"),
            row.getBigDecimal("discount"),
            row.getBoolean("under_cost"),
            row.getBoolean("over_limit")),
        row.getBoolean("changes"));
  }

  /** Gives a role what it may from now on. */
  @Transactional
  public void give(Person.Role role, Given given, String login) {
    String before = said(of(role));
    sql.sql(
            """
            update role_may set costs = ?, ledger = ?, any_price = ?, discount = ?, under_cost = ?,
              over_limit = ?, changes = ?
            where role = ?
            """)
        .params(given.costs, given.ledger, given.selling.anyPrice(), given.selling.discount())
        .params(given.selling.underCost(), given.selling.overLimit(), given.changes, role.name())
        .update();
    if (!before.equals(said(given)))
      audit.write(login, "role", 0, role.words(), before, said(given));
  }

  private static String said(Given given) {
    StringBuilder may = new StringBuilder();
    if (given.costs) may.append("sees costs, ");
    if (given.ledger) may.append("sees the ledger, ");
    if (given.selling.anyPrice()) may.append("sells at any price, ");
    if (given.selling.underCost()) may.append("sells under cost, ");
    if (given.selling.overLimit()) may.append("sells over limits, ");
    if (given.changes) may.append("amends and voids, ");
    BigDecimal discount = given.selling.discount().stripTrailingZeros();
    return may + "discount up to " + discount.toPlainString() + " %";
  }
}
