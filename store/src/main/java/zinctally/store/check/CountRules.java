package zinctally.store.check;

import java.util.List;

/** What stock counts must agree on. */
final class CountRules {
  private CountRules() {}

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "each line of a count is the sum of what was counted of it",
              "select count(*) from count_line",
              """
              select concat('count ', l.sheet_id, ', line ', l.id) as name,
                coalesce(l.counted, 0) as q1, coalesce(sum(e.quantity), 0) as q2
              from count_line l left join count_entry e
                on e.line_id = l.id and e.round = l.round and e.taken_back_by = ''
              group by l.id having q1 <> q2"""),
          new Rule(
              "each count that differed is done by a paper that stands",
              "select count(*) from count_sheet where state = 'POSTED'",
              """
              select concat('count ', s.id) as name, count(*) as a, sum(p.state = 'POSTED') as b
              from count_sheet s left join paper p on p.id = s.paper_id
              where s.state = 'POSTED' and (s.paper_id is not null
                or exists (select 1 from count_line l
                  where l.sheet_id = s.id and l.counted <> l.expected))
              group by s.id having coalesce(b, 0) <> a"""));
}
