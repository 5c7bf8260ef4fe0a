package zinctally.core.papers.back;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zinctally.core.number.Share;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;

/** Reads a supplier's credit note against returns. */
public final class SupplierCreditReader {
  private SupplierCreditReader() {}

  public static Reading credit(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    String number = in.text("their_number");
    in.askSameNumber(who, number);
    List<SupplierCredit.Line> lines = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      SupplierCredit.Line line = line(in, row, who, date);
      if (line == null) continue;
      if (!seen.add(line.due().item().id()))
        in.faults.add(Fault.at(row, "paper", line.due().number() + " is already on a line above."));
      lines.add(line);
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.paper", "For which return is it? Name it: RS-2026-0001.");
    return in.done(() -> new SupplierCredit(date, who, number, List.copyOf(lines)));
  }

  private static SupplierCredit.Line line(Reader in, int row, Party who, LocalDate date) {
    int before = in.faults.size();
    String typed = in.draft.cell(row, "paper");
    Optional<CreditDue> due =
        who == null || who.id() == 0 || typed.isEmpty()
            ? Optional.empty()
            : in.book.creditDue(who.id(), typed);
    if (due.isEmpty()) {
      in.faults.add(
          Fault.at(
              row,
              "paper",
              typed.isEmpty()
                  ? "For which return is it?"
                  : "No return \"" + typed + "\" waits for a credit note from this supplier."));
      return null;
    }
    CreditDue of = due.get();
    if (date != null && date.isBefore(of.date()))
      in.faults.add(
          Fault.at(
              row,
              "paper",
              of.number() + " went back on " + of.date() + "; its credit cannot come before."));
    String amount = in.draft.cell(row, "net");
    Long net = amount.isEmpty() ? Long.valueOf(of.net()) : in.money("rows." + row + ".net", amount);
    String taxTyped = in.draft.cell(row, "tax_amount");
    Long tax =
        !taxTyped.isEmpty()
            ? in.money("rows." + row + ".tax_amount", taxTyped)
            : net == null || of.net() == 0
                ? Long.valueOf(of.tax())
                : Long.valueOf(Share.of(of.tax(), net, of.net()));
    if (in.faults.size() > before || net == null || tax == null) return null;
    in.rows.put(row, new Reading.RowFacts(0, "due " + in.say(of.item().open()), "", net + tax));
    if (net != of.net())
      in.notes.add(
          Fault.at(
              row,
              "amount",
              of.number()
                  + " was to be credited "
                  + in.say(of.net())
                  + "; the "
                  + in.say(Math.abs(of.net() - net))
                  + (net < of.net() ? " less" : " more")
                  + " is a purchase price difference."));
    return new SupplierCredit.Line(row, of, net, tax);
  }
}
