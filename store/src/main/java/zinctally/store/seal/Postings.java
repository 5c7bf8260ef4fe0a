package zinctally.store.seal;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.seal.Leaf;

/**
 * Postings with all that they wrote: the version as it was typed and its lines, entries in the
 * ledger, in the stock book, and what moved. Names of places and words on papers are words; all
 * else is figures. docs/seals.md writes it down for other programs.
 */
@Component
@Order(1)
class Postings implements Sealed {
  private final JdbcTemplate jdbc;

  Postings(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public String kind() {
    return "posting";
  }

  @Override
  public String table() {
    return "posting";
  }

  @Override
  public Map<Long, Leaf> leaves(long from, long to) {
    return new Written(jdbc)
        .figures(
            "posting",
            true,
            """
            select t.id, t.id, p.kind, p.number, t.version, t.what, t.at, t.login
            from posting t join paper p on p.id = t.paper_id
            where t.id between ? and ? order by t.id
            """,
            from,
            to)
        .figures(
            "line",
            false,
            """
            select t.id, l.line, l.item_id, l.account_id, l.quantity, l.unit, l.price, l.discount,
              l.net, l.tax, l.tax_rate_id
            from posting t straight_join paper_line l
              on l.paper_id = t.paper_id and l.version = t.version
            where t.id between ? and ? and t.what <> 'voided' order by t.id, l.line
            """,
            from,
            to)
        .figures(
            "journal",
            false,
            """
            select posting_id, id, date, paper_id, version, reverses, till_id, entered_at
            from journal where posting_id between ? and ? order by posting_id, id
            """,
            from,
            to)
        .figures(
            "entry",
            false,
            """
            select j.posting_id, l.journal_id, l.line, l.account_id, l.date, l.item_id, l.amount, l.worked
            from journal j straight_join journal_line l on l.journal_id = j.id
            where j.posting_id between ? and ? order by j.posting_id, l.journal_id, l.line
            """,
            from,
            to)
        .figures(
            "cost",
            false,
            """
            select posting_id, id, item_id, event_id, posting_date, quantity, value, account_id,
              cause_id, journal_id, entered_at
            from cost_entry where posting_id between ? and ? order by posting_id, id
            """,
            from,
            to)
        .figures(
            "move",
            false,
            """
            select posting_id, id, item_id, date, quantity, paper_id, line, part, lot_id
            from quantity_move where posting_id between ? and ? order by posting_id, id
            """,
            from,
            to)
        .words(
            "text",
            """
            select t.id, v.posted_at, v.posted_by, v.what, v.text
            from posting t straight_join paper_version v
              on v.paper_id = t.paper_id and v.version = t.version
            where t.id between ? and ? and t.what <> 'voided' order by t.id
            """,
            from,
            to)
        .words(
            "wording",
            """
            select t.id, l.line, l.place_id, l.wording
            from posting t straight_join paper_line l
              on l.paper_id = t.paper_id and l.version = t.version
            where t.id between ? and ? and t.what <> 'voided' order by t.id, l.line
            """,
            from,
            to)
        .words(
            "memo",
            """
            select j.posting_id, l.journal_id, l.line, l.memo
            from journal j straight_join journal_line l on l.journal_id = j.id
            where j.posting_id between ? and ? order by j.posting_id, l.journal_id, l.line
            """,
            from,
            to)
        .words(
            "where",
            """
            select posting_id, id, place_id from quantity_move
            where posting_id between ? and ? order by posting_id, id
            """,
            from,
            to)
        .leaves();
  }

  @Override
  public Map<Long, String> names(List<Long> ids) {
    Map<Long, String> names = new HashMap<>();
    new NamedParameterJdbcTemplate(jdbc)
        .query(
            """
            select t.id, concat(p.number, ', version ', t.version, ', ', t.what, ' ', date(t.at))
            from posting t join paper p on p.id = t.paper_id where t.id in (:ids)
            """,
            Map.of("ids", ids),
            row -> {
              names.put(row.getLong(1), row.getString(2));
            });
    return names;
  }
}
