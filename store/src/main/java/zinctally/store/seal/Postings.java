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
    return new Written(jdbc, from, to)
        .leaf(
            "posting",
            """
            select t.id, t.id, p.kind, p.number, t.version, t.what, cast(t.at as char), t.login
            from posting t join paper p on p.id = t.paper_id
            where t.id between ? and ? order by t.id
            """)
        .words(
            "text",
            """
            select t.id, cast(v.posted_at as char), v.posted_by, v.what, v.text
            from posting t straight_join paper_version v
              on v.paper_id = t.paper_id and v.version = t.version
            where t.id between ? and ? and t.what <> 'voided' order by t.id
            """)
        .both(
            "line",
            "wording",
            1,
            9,
            """
            select t.id, l.line, l.item_id, l.account_id, l.quantity, l.unit, l.price, l.discount,
              l.net, l.tax, l.tax_rate_id, l.place_id, l.wording
            from posting t straight_join paper_line l
              on l.paper_id = t.paper_id and l.version = t.version
            where t.id between ? and ? and t.what <> 'voided' order by t.id
            """)
        .figures(
            "journal",
            """
            select posting_id, id, date, paper_id, version, reverses + 0, till_id,
              cast(entered_at as char)
            from journal where posting_id between ? and ? order by posting_id
            """)
        .bothAndPerhaps(
            "entry",
            "memo",
            2,
            5,
            """
            select j.posting_id, l.journal_id, l.line, l.account_id, l.date, l.item_id, l.amount,
              l.worked + 0, l.memo, nullif(l.centre_id, 0)
            from journal j straight_join journal_line l on l.journal_id = j.id
            where j.posting_id between ? and ? order by j.posting_id
            """)
        .figures(
            "cost",
            """
            select posting_id, id, item_id, event_id, posting_date, quantity, value, account_id,
              cause_id, journal_id, cast(entered_at as char)
            from cost_entry where posting_id between ? and ? order by posting_id
            """)
        .both(
            "move",
            "where",
            1,
            7,
            """
            select posting_id, id, item_id, date, quantity, paper_id, line, part, lot_id, place_id
            from quantity_move where posting_id between ? and ? order by posting_id
            """)
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
