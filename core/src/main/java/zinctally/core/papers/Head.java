package zinctally.core.papers;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What is kept of a paper beside its lines.
 *
 * @param reference the other side's own number or words; may be empty
 * @param due null when nothing becomes due with it
 * @param place null when it has none, or several
 * @param net minor units without tax
 * @param tax minor units
 */
public record Head(
    String reference, @Nullable LocalDate due, @Nullable Place place, long net, long tax) {
  /** Of a paper without tax, place or reference. */
  public static Head of(long total) {
    return new Head("", null, null, total, 0);
  }
}
