package zinctally.store.check;

import java.util.List;

/** What goods made of other goods must agree on. */
final class MakingRules {
  private MakingRules() {}

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "what is made is worth what its components cost and what was added",
              "select count(*) from making",
              """
              select p.number as name,
                coalesce(sum(if(o.weight is null, 0, e.booked)), 0) as a,
                m.charges - coalesce(sum(if(o.weight is null, e.booked, 0)), 0) as b
              from making m join paper p on p.id = m.paper_id
              left join made_of o on o.paper_id = m.paper_id
              left join cost_event e on e.id = o.event_id
              group by m.paper_id having a <> b"""),
          new Rule(
              "components and what is made of them are those of the paper",
              "select count(*) from made_of",
              """
              select p.number as name, count(*) as a,
                sum(not e.gone and e.paper_id = o.paper_id and e.item_id = o.item_id
                  and e.kind = if(o.weight is null, 'OUT', 'IN')) as b
              from made_of o join paper p on p.id = o.paper_id
              join cost_event e on e.id = o.event_id
              group by o.paper_id having a <> b"""),
          new Rule(
              "every posted assembly and disassembly says what was made of what",
              "select count(*) from paper where kind in ('ASSEMBLY', 'DISASSEMBLY')",
              """
              select p.number as name, p.state = 'POSTED' as a, m.paper_id is not null as b
              from paper p left join making m on m.paper_id = p.id
              where p.kind in ('ASSEMBLY', 'DISASSEMBLY') having a <> b"""));
}
