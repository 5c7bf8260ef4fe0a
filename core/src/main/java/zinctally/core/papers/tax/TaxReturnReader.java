package zinctally.core.papers.tax;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.PartyQuestions;
import zinctally.core.papers.read.Reader;

/** Reads a tax return: the days it is of; what it declares the book says. */
public final class TaxReturnReader {
  private TaxReturnReader() {}

  public static Reading taxReturn(Reader in) {
    LocalDate date = in.date();
    Party office = in.party();
    LocalDate due = in.due(date, office);
    String number = in.text("their_number");
    PartyQuestions.sameNumber(in, office, number);
    LocalDate from = in.day("from", null);
    LocalDate to = in.day("to", null);
    if (date == null || from == null || to == null) return in.wrong();
    if (to.isBefore(from)) in.fault("to", "The days end on " + to + ", before they begin.");
    else if (date.isBefore(to))
      in.fault(
          "date",
          "A return of days up to "
              + to
              + " is not booked before they are over; date it "
              + to
              + " or later.");
    if (!in.sound()) return in.wrong();
    List<TaxDue> declared = in.book.taxDue(from, to);
    if (declared.isEmpty()) in.fault("to", "No tax up to " + to + " waits to be declared.");
    else seen(in, TaxDue.toPay(declared));
    TaxBoxes boxes = in.book.taxBoxes();
    for (TaxDue one : boxes.inNone(declared))
      in.note(
          "to",
          in.say(one.tax())
              + " at "
              + (one.rate().isEmpty() ? "no rate" : one.rate())
              + " stands in no box; it is declared all the same.");
    return in.done(
        () ->
            new TaxReturn(
                date, known(due), known(office), number, from, to, declared, boxes.fill(declared)));
  }

  /** Whether what is declared is still what was looked at; others write meanwhile. */
  private static void seen(Reader in, long toPay) {
    String typed = in.draft.field("pay");
    int digits = in.book.rules().coin().digits();
    BigDecimal looked = typed.isEmpty() ? null : in.amount("pay", typed, digits);
    if (typed.isEmpty())
      in.fault("pay", "How much do you declare? By the book it is " + in.say(toPay) + ".");
    else if (looked != null && in.book.rules().coin().minor(looked) != toPay)
      in.fault(
          "pay",
          "By the book "
              + in.say(toPay)
              + " is to be paid; papers came meanwhile, or this is another figure.");
  }
}
