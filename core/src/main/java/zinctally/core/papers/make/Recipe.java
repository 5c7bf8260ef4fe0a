package zinctally.core.papers.make;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.plan.Plan;

/**
 * What something is made of, from a day on. It moves and books nothing.
 *
 * @param place where it is made; null for anywhere
 * @param unit the unit its batch was typed in
 * @param lines of the batch's parts and then of its work, in the same order
 * @param partsCost minor units of the parts of a batch at present cost; empty when some has none
 */
public record Recipe(
    LocalDate date,
    @Nullable Place place,
    Batch batch,
    String unit,
    Lines lines,
    Optional<Long> partsCost)
    implements Paper {
  /**
   * Where parts and work stand on the paper, and what is noted there.
   *
   * @param made the line at which the result itself is kept
   */
  public record Lines(int made, List<Note> parts, List<Note> work) {}

  /** A line and its note. */
  public record Note(int row, String unit, String memo) {}

  @Override
  public PaperKind kind() {
    return PaperKind.RECIPE;
  }

  @Override
  public long total() {
    return partsCost.map(cost -> Math.addExact(cost, work())).orElse(0L);
  }

  private long work() {
    return batch.work().stream()
        .mapToLong(w -> batch.charged(w, batch.made()))
        .reduce(0, Math::addExact);
  }

  @Override
  public Head head() {
    return new Head("", null, place, total(), 0);
  }

  @Override
  public List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    rows.add(Row.of(lines.made, batch.item()).at(place).of(batch.made(), unit));
    for (int i = 0; i < batch.parts().size(); i++) {
      Note note = lines.parts.get(i);
      Batch.Part part = batch.parts().get(i);
      rows.add(Row.of(note.row, part.item()).worded(note.memo).of(part.quantity(), note.unit));
    }
    for (int i = 0; i < batch.work().size(); i++) {
      Batch.Labour work = batch.work().get(i);
      rows.add(
          Row.of(lines.work.get(i).row, null)
              .on(work.account().id())
              .worded(work.wording())
              .worth(batch.charged(work, batch.made())));
    }
    return rows;
  }

  /** What a batch would cost now. */
  @Override
  public List<Sum> sums() {
    if (partsCost.isEmpty()) return List.of();
    long one = Share.of(total(), Quantity.ONE, batch.made().micros());
    return List.of(
        new Sum("Parts at present cost", partsCost.get()),
        new Sum("Work", work()),
        new Sum("A batch of " + batch.item().units().say(batch.made()), total()),
        new Sum("One " + batch.item().units().base().sign(), one));
  }

  @Override
  public Plan plan(Catalogue book) {
    return Plan.NOTHING;
  }
}
