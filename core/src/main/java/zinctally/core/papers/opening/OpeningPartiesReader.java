package zinctally.core.papers.opening;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads bills and invoices that were open when the books began. */
public final class OpeningPartiesReader {
  private static final List<String> SIDES =
      List.of("bill", "invoice", "supplier credit", "customer credit");

  private OpeningPartiesReader() {}

  public static Reading openingParties(Reader in) {
    LocalDate cutOver = in.book.rules().cutOver();
    List<OpeningParties.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      String side = row.cell("side").toLowerCase(java.util.Locale.ROOT);
      boolean credit = side.endsWith("credit");
      if (!SIDES.contains(side))
        row.fault(
            "side",
            "Write bill for what we owe, invoice for what is owed to us; supplier credit or"
                + " customer credit for what takes off it.");
      Party.Kind kind =
          side.equals("bill") || side.equals("supplier credit")
              ? Party.Kind.SUPPLIER
              : Party.Kind.CUSTOMER;
      Party party = in.party(row.at("party"), row.cell("party"), kind);
      String number = row.cell("number");
      if (number.isEmpty()) row.fault("number", "Its number, so that a payment can find it.");
      LocalDate date = in.day(row.at("date"), row.cell("date"), cutOver);
      LocalDate due = date == null ? null : in.day(row.at("due"), row.cell("due"), date);
      if (date != null && date.isAfter(cutOver))
        row.fault(
            "date",
            date + " is after the cut-over date " + cutOver + "; enter it as a paper of its own.");
      Long amount = in.money(row.at("amount"), row.cell("amount"));
      if (amount != null && amount == 0)
        row.fault("amount", "How much is open? It cannot be zero.");
      row.facts(new Reading.RowFacts(0, "", "", amount));
      if (party != null && amount != null && date != null && due != null)
        lines.add(
            new OpeningParties.Line(
                row.index(), party, number, date, due, credit ? -amount : amount));
    }
    in.book.rules().openingClosed().ifPresent(in::fault);
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.party", "There is no line yet: who, which number, how much.");
    return in.done(() -> new OpeningParties(cutOver, List.copyOf(lines)));
  }
}
