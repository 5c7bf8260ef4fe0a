package zinctally.store.book;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.money.OpenItem;

/** Finds customers and suppliers and what they owe or are owed, without the paper being amended. */
final class PartyLookup {
  private final JdbcClient sql;

  private final long amends;

  private final Catalogue.Rules rules;

  private final Map<String, Optional<Party>> parties = new HashMap<>();

  private final Map<Long, Long> limits = new HashMap<>();

  PartyLookup(JdbcClient sql, long amends, Catalogue.Rules rules) {
    this.sql = sql;
    this.amends = amends;
    this.rules = rules;
  }

  Optional<Party> named(Party.Kind kind, String name) {
    return parties.computeIfAbsent(
        kind + name.strip().toLowerCase(Locale.ROOT),
        k ->
            sql.sql(
                    "select w.id, w.name, w.terms_days, w.active, w.credit_limit from party p"
                        + " join party w on w.id = coalesce(p.merged_into, p.id)"
                        + " where p.kind = ? and p.name = ?")
                .params(kind.name(), name.strip())
                .query((row, n) -> found(kind, row))
                .optional());
  }

  private Party found(Party.Kind kind, ResultSet row) throws SQLException {
    long limit = row.getLong(5);
    if (!row.wasNull()) limits.put(row.getLong(1), limit);
    return new Party(row.getLong(1), kind, row.getString(2), row.getInt(3), row.getBoolean(4));
  }

  /** What a party that was found by its name may owe at most. */
  Optional<Long> creditLimit(long party) {
    return Optional.ofNullable(limits.get(party));
  }

  List<OpenItem> openItems(long party) {
    return sql.sql(
            """
            select o.*, o.open - coalesce((select sum(s.amount) from settlement s
              where s.open_item_id = o.id and s.paper_id = :amends), 0) as still_open,
              if((select count(*) from open_item x where x.paper_id = o.paper_id) = 1,
                p.number, '') as paper_number
            from open_item o join paper p on p.id = o.paper_id
            where o.party_id = :party and o.paper_id <> :amends
              and (o.open <> 0 or o.id in (select open_item_id from settlement
                                           where paper_id = :amends))
            having still_open <> 0 order by o.date, o.id limit 500
            """)
        .param("party", party)
        .param("amends", amends)
        .query(
            (row, n) ->
                new OpenItem(
                    row.getLong("id"),
                    party,
                    row.getString("number"),
                    row.getObject("date", LocalDate.class),
                    row.getObject("due", LocalDate.class),
                    row.getLong("amount"),
                    row.getLong("still_open"),
                    row.getString("paper_number")))
        .list();
  }

  /** The latest paper of theirs with a number, said in words. */
  Optional<String> sameNumber(PaperKind kind, long party, String theirNumber) {
    return sql.sql(
            """
            select number, date, total from paper where reference = ? and kind = ? and party_id = ?
              and state = 'POSTED' and id <> ? order by date desc, id desc limit 1
            """)
        .params(theirNumber, kind.name(), party, amends)
        .query(
            (row, n) ->
                row.getString(1)
                    + " of "
                    + row.getString(2)
                    + ", "
                    + rules.coin().say(row.getLong(3)))
        .optional();
  }

  /** A return to supplier that waits whole for its credit note. */
  Optional<CreditDue> creditDue(long party, String returnNumber) {
    return openItems(party).stream()
        .filter(o -> o.open() > 0 && o.open() == o.amount())
        .filter(o -> isReturn(o.id(), returnNumber))
        .findFirst()
        .flatMap(this::creditDue);
  }

  private boolean isReturn(long openItem, String number) {
    return sql.sql(
            "select exists (select 1 from open_item o join paper p on p.id = o.paper_id"
                + " join paper_kind k on k.kind = p.kind and k.back"
                + " where o.id = ? and p.number = ?)")
        .params(openItem, number.strip())
        .query(Boolean.class)
        .single();
  }

  private Optional<CreditDue> creditDue(OpenItem item) {
    return sql.sql(
            """
            select p.number, p.date, p.net, p.tax, t.id as rate, t.code, t.name, t.percent
            from open_item o join paper p on p.id = o.paper_id
            left join paper_line l on l.paper_id = p.id and l.version = p.version
              and l.tax_rate_id is not null
            left join tax_rate t on t.id = l.tax_rate_id
            where o.id = ? order by l.line limit 1
            """)
        .param(item.id())
        .query(
            (row, n) ->
                new CreditDue(
                    item,
                    row.getString(1),
                    row.getObject(2, LocalDate.class),
                    row.getLong(3),
                    row.getLong(4),
                    NamedLookup.rate(row)))
        .optional();
  }
}
