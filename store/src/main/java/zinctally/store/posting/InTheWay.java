package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Trait;
import zinctally.core.papers.plan.Plan;

/** What keeps a posted paper from being amended or voided, by name. */
@Component
class InTheWay {
  private static final Fault STAYS =
      Fault.whole("What a recosting put right is what the papers give; it stays.");

  private final JdbcClient sql;
  private final Dues dues;
  private final GoesOn goesOn;

  InTheWay(JdbcClient sql, Dues dues, GoesOn goesOn) {
    this.sql = sql;
    this.dues = dues;
    this.goesOn = goesOn;
  }

  List<Fault> ofAmending(PaperRows.Posted paper, Plan next, Catalogue.Rules rules) {
    if (paper.isVoid())
      return List.of(Fault.whole(paper.number() + " is void; write a new paper instead."));
    if (paper.kind().is(Trait.CHANGES_ITEMS))
      return List.of(
          Fault.whole(
              "Tracking has begun with this; put quantities right with an adjustment, dated then."));
    if (paper.kind().is(Trait.STAYS)) return List.of(STAYS);
    if (paper.date().isBefore(rules.firstOpenDay()))
      return List.of(
          Fault.whole(
              paper.number()
                  + " of "
                  + paper.date()
                  + " is in a closed period and stays as it is; the first open day is "
                  + rules.firstOpenDay()
                  + ". Void it on an open day and write it anew."));
    return inUse(paper.id(), next, rules);
  }

  List<Fault> ofVoiding(PaperRows.Posted paper, LocalDate on, Catalogue.Rules rules) {
    List<Fault> faults = new ArrayList<>();
    if (paper.isVoid()) faults.add(Fault.whole(paper.number() + " is void already."));
    else if (paper.kind().is(Trait.STAYS)) faults.add(STAYS);
    else if (on.isBefore(paper.date()))
      faults.add(
          new Fault(
              "date",
              paper.number()
                  + " is of "
                  + paper.date()
                  + "; it cannot be voided before that, on "
                  + on
                  + "."));
    else if (on.isBefore(rules.firstOpenDay()))
      faults.add(
          new Fault(
              "date",
              on + " is in a closed period; the first open day is " + rules.firstOpenDay() + "."));
    else if (on.isAfter(rules.today().plusYears(1)))
      faults.add(new Fault("date", on + " is more than a year ahead; is the year right?"));
    else faults.addAll(inUse(paper.id(), Plan.NOTHING, rules));
    return faults;
  }

  private List<Fault> inUse(long paper, Plan next, Catalogue.Rules rules) {
    List<Fault> faults = new ArrayList<>(dues.inTheWay(paper, next, rules.coin()));
    faults.addAll(goesOn.inTheWay(paper, next));
    faults.addAll(goesOn.tookShares(paper));
    return faults;
  }

  /** Papers that build on events which would be gone: charges on an arrival, returns of a sale. */
  List<Fault> ofEvents(Undo undo, java.util.Set<Long> kept) {
    List<Long> gone =
        undo.events().stream()
            .map(old -> old.event().id())
            .filter(id -> !kept.contains(id))
            .toList();
    if (gone.isEmpty()) return List.of();
    return sql.sql(
            """
            select distinct p.number, i.name from cost_event e join paper p on p.id = e.paper_id
            join item i on i.id = e.item_id
            where e.target_id in (:gone) and not e.gone and e.paper_id <> :paper
            """)
        .param("gone", gone)
        .param("paper", undo.paper())
        .query(
            (row, n) ->
                Fault.whole(
                    row.getString(1)
                        + " builds on its line of "
                        + row.getString(2)
                        + "; void that paper first."))
        .list();
  }
}
