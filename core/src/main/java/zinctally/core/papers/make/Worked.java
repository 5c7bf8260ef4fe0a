package zinctally.core.papers.make;

import java.util.List;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Place;
import zinctally.core.papers.Sum;

/** What assembly and disassembly have in common: a place, and work that is added to the cost. */
interface Worked extends Paper {
  /** Where it is done. */
  Place place();

  List<Work> work();

  @Override
  default long total() {
    return Work.sum(work());
  }

  @Override
  default Head head() {
    return new Head("", null, place(), total(), 0);
  }

  @Override
  default List<Sum> sums() {
    return work().isEmpty() ? List.of() : List.of(new Sum("Work added", total()));
  }
}
