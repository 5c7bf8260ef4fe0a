package zinctally.web.prove;

import java.time.LocalDate;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import zinctally.core.statement.BookYear;
import zinctally.core.statement.Column;
import zinctally.core.statement.Known;
import zinctally.core.statement.Line;
import zinctally.core.statement.Statements;
import zinctally.web.listing.Address;

/**
 * Where the figures of a statement open: lines of an account, or the result that one is.
 *
 * @param flows whether figures are of days from and to
 * @param first the day on which the book begins
 */
record StatementLinks(boolean flows, LocalDate first, BookYear year) {
  /** Null for a figure that opens nowhere, as what stands under it is all there is to it. */
  @Nullable String of(Line line, Column column) {
    LocalDate to = column.to();
    Address address;
    if (line.account() != 0) {
      address = new Address("/prove/account/" + line.account(), Map.of());
      address = flows ? address.with("from", column.from().toString()) : address;
    } else if (line.kind() == Line.Kind.PROFIT) {
      LocalDate start = year.start(to);
      boolean past = line.words().equals(Statements.PAST);
      LocalDate from = past ? earlier(start) : flows ? column.from() : start;
      to = past ? start.minusDays(1) : to;
      address = new Address("/prove/profit", Map.of()).with("from", from.toString());
    } else return null;
    address = address.with("to", to.toString());
    if (column.borne().isPresent()) address = address.with("centre", column.borne().get().key());
    return column.known().isEmpty()
        ? address.toString()
        : address.with("known", Known.said(column.known().get())).toString();
  }

  /** The first day of the book, or the year before when the book is younger than this one. */
  private LocalDate earlier(LocalDate start) {
    return first.isBefore(start) ? first : start.minusYears(1);
  }
}
