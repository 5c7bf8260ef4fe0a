package zinctally.core.papers.opening;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;

/** Reads bills and invoices that were open when the books began. */
public final class OpeningPartiesReader {
  private static final List<String> SIDES =
      List.of("bill", "invoice", "supplier credit", "customer credit");

  private OpeningPartiesReader() {}

  public static Reading openingParties(Reader in) {
    LocalDate cutOver = in.book.rules().cutOver();
    List<OpeningParties.Line> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      String at = "rows." + row + ".";
      String side = in.draft.cell(row, "side").toLowerCase(java.util.Locale.ROOT);
      boolean credit = side.endsWith("credit");
      if (!SIDES.contains(side))
        in.fault(
            at + "side",
            "Write bill for what we owe, invoice for what is owed to us; supplier credit or"
                + " customer credit for what takes off it.");
      Party.Kind kind =
          side.equals("bill") || side.equals("supplier credit")
              ? Party.Kind.SUPPLIER
              : Party.Kind.CUSTOMER;
      Party party = in.party(at + "party", in.draft.cell(row, "party"), kind);
      String number = in.draft.cell(row, "number");
      if (number.isEmpty()) in.fault(at + "number", "Its number, so that a payment can find it.");
      LocalDate date = in.day(at + "date", in.draft.cell(row, "date"), cutOver);
      LocalDate due = date == null ? null : in.day(at + "due", in.draft.cell(row, "due"), date);
      if (date != null && date.isAfter(cutOver))
        in.fault(
            at + "date",
            date + " is after the cut-over date " + cutOver + "; enter it as a paper of its own.");
      Long amount = in.money(at + "amount", in.draft.cell(row, "amount"));
      if (amount != null && amount == 0)
        in.fault(at + "amount", "How much is open? It cannot be zero.");
      in.rows.put(row, new Reading.RowFacts(0, "", "", amount));
      if (party != null && amount != null && date != null && due != null)
        lines.add(
            new OpeningParties.Line(row, party, number, date, due, credit ? -amount : amount));
    }
    in.book.rules().openingClosed().ifPresent(in.faults::add);
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.party", "There is no line yet: who, which number, how much.");
    return in.done(() -> new OpeningParties(cutOver, List.copyOf(lines)));
  }
}
