package zinctally.web.shell;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.read.Days;
import zinctally.core.units.Units;

/** Reads what a form of the set-up sends, cell by cell, and gathers what is wrong with it. */
public final class Typed {
  private final Map<String, String> cells;
  private final Map<String, String> faults;

  /**
   * @param faults gets what is wrong, by cell
   */
  public Typed(Map<String, String> cells, Map<String, String> faults) {
    this.cells = cells;
    this.faults = faults;
  }

  public void fault(String field, String says) {
    faults.put(field, says);
  }

  /** A cell without blanks at its ends; says so when it is too long. */
  public String text(String field, int longest) {
    String value = cells.getOrDefault(field, "").strip();
    if (value.length() > longest)
      fault(field, longest + " letters fit; these are " + value.length() + ".");
    return value;
  }

  /** The same, which must not be empty. */
  public String needed(String field, int longest, String says) {
    String value = text(field, longest);
    if (value.isEmpty()) fault(field, says);
    return value;
  }

  /** The id that was chosen in a cell; empty when none was. */
  public Optional<Long> id(String field) {
    String value = cells.getOrDefault(field, "");
    return value.matches("\\d{1,18}") ? Optional.of(Long.valueOf(value)) : Optional.empty();
  }

  /** One of those that are offered, or {@code otherwise} when the form does not ask. */
  public <E extends Enum<E>> E choice(Class<E> type, String field, E otherwise) {
    try {
      return Enum.valueOf(type, cells.getOrDefault(field, otherwise.name()));
    } catch (IllegalArgumentException unknown) {
      fault(field, "One of those offered.");
      return otherwise;
    }
  }

  /** A number that is as it should be; empty when there is none or it is wrong. */
  public Optional<BigDecimal> number(
      String field, int longest, Predicate<BigDecimal> right, String says) {
    String value = text(field, longest).replace("%", "").strip();
    if (value.isEmpty()) return Optional.empty();
    Optional<BigDecimal> read = Figures.read(value).filter(right);
    if (read.isEmpty()) fault(field, says);
    return read;
  }

  /** A quantity from zero in an item's units; null when there is none or it is wrong. */
  public @Nullable Quantity quantity(String field, Units units) {
    String value = text(field, 30);
    if (value.isEmpty()) return null;
    Optional<Units.Typed> read = units.read(value);
    if (read.isEmpty() || read.get().quantity().signum() < 0)
      fault(field, "\"" + value + "\" is not a quantity of this item.");
    return read.map(Units.Typed::quantity).orElse(null);
  }

  /** A whole number from zero; zero when it is wrong. */
  public int whole(String field, int digits, String says) {
    String value = text(field, digits);
    if (value.matches("\\d{1," + digits + "}")) return Integer.parseInt(value);
    fault(field, says);
    return 0;
  }

  /** A day; empty when there is none or it is wrong. */
  public Optional<LocalDate> day(String field, boolean needed, LocalDate today) {
    String value = text(field, 40);
    if (value.isEmpty() && !needed) return Optional.empty();
    Optional<LocalDate> day = Days.read(value, today, today);
    if (day.isEmpty()) fault(field, "\"" + value + "\" is not a date; write it as 2026-03-09.");
    return day;
  }

  /** Whether something is switched on or off that is on unless it says otherwise. */
  public boolean isOn(String field) {
    return !"off".equals(cells.get(field));
  }

  /** At most so many digits before the point and so many after it, and not below zero. */
  public static Predicate<BigDecimal> amount(int before, int after) {
    return number ->
        number.signum() >= 0
            && number.stripTrailingZeros().scale() <= after
            && number.precision() - number.scale() <= before;
  }
}
