package zinctally.core.papers.back;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Share;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.PartyQuestions;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads a supplier's credit note against returns. */
public final class SupplierCreditReader {
  private SupplierCreditReader() {}

  public static Reading credit(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    String number = in.text("their_number");
    PartyQuestions.sameNumber(in, who, number);
    List<SupplierCredit.Line> lines = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    for (RowReader row : in.rows()) {
      SupplierCredit.Line line = line(in, row, who, date);
      if (line == null) continue;
      if (!seen.add(line.due().item().id()))
        row.fault("paper", line.due().number() + " is already on a line above.");
      lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.paper", "For which return is it? Name it: RS-2026-0001.");
    return in.done(() -> new SupplierCredit(known(date), known(who), number, List.copyOf(lines)));
  }

  private static SupplierCredit.@Nullable Line line(
      Reader in, RowReader row, @Nullable Party who, @Nullable LocalDate date) {
    String typed = row.cell("paper");
    Optional<CreditDue> due =
        who == null || who.id() == 0 || typed.isEmpty()
            ? Optional.empty()
            : in.book.creditDue(who.id(), typed);
    if (due.isEmpty()) {
      row.fault(
          "paper",
          typed.isEmpty()
              ? "For which return is it?"
              : "No return \"" + typed + "\" waits for a credit note from this supplier.");
      return null;
    }
    CreditDue of = due.get();
    if (date != null && date.isBefore(of.date()))
      row.fault(
          "paper", of.number() + " went back on " + of.date() + "; its credit cannot come before.");
    String amount = row.cell("net");
    Long net = amount.isEmpty() ? Long.valueOf(of.net()) : in.money(row.at("net"), amount);
    String taxTyped = row.cell("tax_amount");
    Long tax =
        !taxTyped.isEmpty()
            ? in.money(row.at("tax_amount"), taxTyped)
            : net == null || of.net() == 0
                ? Long.valueOf(of.tax())
                : Long.valueOf(Share.of(of.tax(), net, of.net()));
    if (!row.sound() || net == null || tax == null) return null;
    row.facts(new Reading.RowFacts(0, "due " + in.say(of.item().open()), "", net + tax));
    if (net != of.net())
      row.note(
          "amount",
          of.number()
              + " was to be credited "
              + in.say(of.net())
              + "; the "
              + in.say(Math.abs(of.net() - net))
              + (net < of.net() ? " less" : " more")
              + " is a purchase price difference.");
    return new SupplierCredit.Line(row.index(), of, net, tax);
  }
}
