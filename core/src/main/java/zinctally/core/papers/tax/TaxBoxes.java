package zinctally.core.papers.tax;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The boxes of the book's tax return, in their order. */
public record TaxBoxes(List<TaxBox> boxes) {
  public TaxBoxes {
    boxes = List.copyOf(boxes);
  }

  /**
   * A box with what it comes to.
   *
   * @param amount minor units
   */
  public record Filled(TaxBox box, long amount) {}

  /** Each box with what it comes to. A box that is not there counts for nothing. */
  public List<Filled> fill(Collection<TaxDue> dues) {
    Map<String, Long> sums = new HashMap<>();
    List<Filled> filled = new ArrayList<>();
    for (TaxBox box : boxes) {
      long amount =
          box.counts() == TaxBox.Counts.BOXES
              ? box.terms().stream()
                  .mapToLong(t -> t.sign() * sums.getOrDefault(t.box(), 0L))
                  .reduce(0, Math::addExact)
              : dues.stream()
                  .filter(box::takes)
                  .mapToLong(d -> box.counts().tax() ? d.tax() : d.base())
                  .reduce(0, Math::addExact);
      sums.put(box.code(), amount);
      filled.add(new Filled(box, amount));
    }
    return filled;
  }

  /** Tax that stands in no box: it is owed all the same. */
  public List<TaxDue> inNone(Collection<TaxDue> dues) {
    return dues.stream()
        .filter(d -> d.tax() != 0)
        .filter(d -> boxes.stream().noneMatch(b -> b.counts().tax() && b.takes(d)))
        .toList();
  }
}
