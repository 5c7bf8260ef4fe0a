package zinctally.web.paper;

import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.PostedPaper;

/** What posted papers still wait for. */
@Component
class StillWaits {
  private final Catalogues catalogues;

  StillWaits(Catalogues catalogues) {
    this.catalogues = catalogues;
  }

  /** What its lines still wait for; nothing once it is void. */
  Set<Awaits> of(PostedPaper paper) {
    return catalogues.open().awaited(paper.number()).stream()
        .filter(a -> a.openQuantity() > 0 && a.number().equals(paper.number()))
        .filter(a -> a.order().open())
        .map(Awaited::what)
        .collect(Collectors.toSet());
  }
}
