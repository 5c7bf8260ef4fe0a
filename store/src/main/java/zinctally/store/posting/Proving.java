package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Reading;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.trade.Trade;
import zinctally.core.proof.Proof;
import zinctally.store.Refused;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;

/** Says what a paper would do before it is posted or voided. */
@Service
public class Proving {
  private final Catalogues catalogues;
  private final Trying trying;
  private final InTheWay inTheWay;
  private final Shortages shortages;
  private final PaperRows rows;
  private final Tills tills;
  private final Allowances allowances;

  Proving(
      Catalogues catalogues,
      Trying trying,
      InTheWay inTheWay,
      Shortages shortages,
      PaperRows rows,
      Tills tills,
      Allowances allowances) {
    this.catalogues = catalogues;
    this.trying = trying;
    this.inTheWay = inTheWay;
    this.shortages = shortages;
    this.rows = rows;
    this.tills = tills;
    this.allowances = allowances;
  }

  /**
   * What the draft would do now; writes nothing.
   *
   * @param amends the posted paper it is a new version of; zero for none
   * @param login who would post it, for what not everyone may do
   */
  public Proof prove(Draft draft, long amends, String login) {
    return prove(draft, catalogues.amending(amends), login);
  }

  /** The same, read with a catalogue that is open already. */
  public Proof prove(Draft draft, BookCatalogue book, String login) {
    long amends = book.amends();
    Reading reading = Typing.read(draft, book);
    if (reading.paper().isEmpty())
      return new Proof(reading, withShort(reading, book, login), Optional.empty());
    Paper paper = reading.paper().get();
    List<Fault> beyond = allowances.beyond(paper, amends != 0, login, book);
    if (!beyond.isEmpty()) return new Proof(reading, beyond, Optional.empty());
    Plan plan = paper.plan(book).borneBy(reading.centres());
    Optional<PaperRows.Posted> before = amends == 0 ? Optional.empty() : rows.head(amends, false);
    Trying.Attempt attempt =
        trying.attempt(
            trying.job(paper, plan, before, Long.MAX_VALUE, book, login), before, book, null);
    if (attempt.worked().isPresent())
      try {
        tills.of(draft, paper, login, attempt.worked().get().work(), book, false);
      } catch (Refused noTill) {
        return new Proof(reading, noTill.faults(), Optional.empty());
      }
    return new Proof(reading, attempt.faults(), attempt.worked().map(Worked::work));
  }

  /** What is wrong with a draft; what the counter is short of is said before it is paid. */
  private List<Fault> withShort(Reading reading, BookCatalogue book, String login) {
    List<Fault> faults = new ArrayList<>(reading.faults());
    reading
        .unpaid()
        .ifPresent(sale -> faults.addAll(0, allowances.beyond(sale, false, login, book)));
    if (reading.unpaid().isPresent() && book.amends() == 0 && !book.mayGoShort(login)) {
      Trade sale = reading.unpaid().get();
      faults.addAll(
          0,
          shortages.of(
              trying.job(sale, sale.plan(book), Optional.empty(), Long.MAX_VALUE, book, login)));
    }
    return faults;
  }

  /** What voiding a paper on a day would do; writes nothing. */
  public Proof proveVoid(long paper, LocalDate on, String login) {
    BookCatalogue book = catalogues.open();
    PaperRows.Posted head = rows.head(paper, false).orElseThrow();
    List<Fault> faults = new ArrayList<>(allowances.changing(login));
    if (faults.isEmpty()) faults = inTheWay.ofVoiding(head, on, book.rules());
    if (!faults.isEmpty()) return new Proof(Reading.NOTHING, faults, Optional.empty());
    Trying.Attempt attempt =
        trying.attempt(trying.voiding(head, on, book, login), Optional.empty(), book, null);
    return new Proof(Reading.NOTHING, attempt.faults(), attempt.worked().map(Worked::work));
  }
}
