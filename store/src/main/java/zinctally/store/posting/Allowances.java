package zinctally.store.posting;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.store.people.RoleMay;

/** What goes further than a person may. */
@Component
class Allowances {
  private final RoleMay roles;

  Allowances(RoleMay roles) {
    this.roles = roles;
  }

  /** Of writing a paper, or of amending one. */
  List<Fault> beyond(Paper paper, boolean amends, String login, Catalogue book) {
    RoleMay.Given may = roles.of(login);
    List<Fault> beyond = new ArrayList<>(amends ? changing(may) : List.of());
    beyond.addAll(paper.beyond(may.selling(), book));
    return beyond;
  }

  /** Of changing or voiding what is posted. */
  List<Fault> changing(String login) {
    return changing(roles.of(login));
  }

  private static List<Fault> changing(RoleMay.Given may) {
    return may.changes()
        ? List.of()
        : List.of(Fault.whole("To change or void what is posted is not yours to do."));
  }
}
