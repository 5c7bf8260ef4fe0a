package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Across;
import zinctally.core.cost.CannotCost;
import zinctally.core.goods.Item;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.plan.Plan;
import zinctally.store.Refused;
import zinctally.store.book.BookCatalogue;

/** Works out what a paper does, or what stands in its way; writes nothing. */
@Component
class Trying {
  private final Worker worker;
  private final Undoing undoing;
  private final InTheWay inTheWay;
  private final Shortages shortages;
  private final JdbcClient sql;

  Trying(Worker worker, Undoing undoing, InTheWay inTheWay, Shortages shortages, JdbcClient sql) {
    this.worker = worker;
    this.undoing = undoing;
    this.inTheWay = inTheWay;
    this.shortages = shortages;
    this.sql = sql;
  }

  /** What posting a paper is to do. */
  Worker.Job job(
      Paper paper,
      Plan plan,
      Optional<PaperRows.Posted> before,
      long sequence,
      BookCatalogue book,
      String login) {
    Undo undo =
        before.map(b -> undoing.of(b.id(), book.rules().firstOpenDay())).orElse(Undo.NOTHING);
    Map<Long, Item> items = new HashMap<>();
    paper.items().forEach(item -> items.put(item.id(), item));
    return new Worker.Job(
        plan,
        paper.date(),
        before.map(PaperRows.Posted::sequence).orElse(sequence),
        undo,
        withOld(items, undo, book),
        book.rules().firstOpenDay(),
        book.stockAccounts(),
        book.mayGoShort(login));
  }

  /** What voiding a paper is to do. */
  Worker.Job voiding(PaperRows.Posted head, LocalDate on, BookCatalogue book, String login) {
    Undo undo = undoing.of(head.id(), on);
    return new Worker.Job(
        Plan.NOTHING,
        on,
        head.sequence(),
        undo,
        withOld(new HashMap<>(), undo, book),
        book.rules().firstOpenDay(),
        book.stockAccounts(),
        book.mayGoShort(login));
  }

  private static Map<Long, Item> withOld(Map<Long, Item> items, Undo undo, BookCatalogue book) {
    List<Long> old =
        Stream.concat(
                undo.events().stream().map(Undo.Old::item),
                undo.moves().stream().map(Undo.Moved::item))
            .filter(id -> !items.containsKey(id))
            .distinct()
            .toList();
    items.putAll(book.items(old));
    return items;
  }

  /** What came of it: it is worked out, or something stands in the way. */
  record Attempt(Optional<Worked> worked, List<Fault> faults) {
    /**
     * @throws Refused when something stands in the way
     */
    Worked orRefused() {
      return worked.orElseThrow(() -> new Refused(faults));
    }

    private static Attempt failed(List<Fault> faults) {
      return new Attempt(Optional.empty(), faults);
    }
  }

  /**
   * @param held ids of the items that are held, for a posting; null for a proof
   */
  Attempt attempt(
      Worker.Job job,
      Optional<PaperRows.Posted> amends,
      BookCatalogue book,
      @Nullable Set<Long> held) {
    if (amends.isPresent()) {
      List<Fault> faults = inTheWay.ofAmending(amends.get(), job.plan(), book.rules());
      if (!faults.isEmpty()) return Attempt.failed(faults);
    }
    try {
      Worked worked = worker.work(job, book, held);
      List<Fault> faults = new ArrayList<>(inTheWay.ofEvents(job.undo(), worked.kept()));
      if (!job.mayGoShort()) faults.addAll(shortages.of(job));
      for (long item : worked.right())
        faults.add(
            Fault.whole(
                job.item(item).name()
                    + " is booked at what its papers give; there is nothing to put right."));
      return faults.isEmpty()
          ? new Attempt(Optional.of(worked), List.of())
          : Attempt.failed(faults);
    } catch (CannotCost refused) {
      List<Fault> byPlace = job.mayGoShort() ? List.of() : shortages.of(job);
      if (!byPlace.isEmpty()) return Attempt.failed(byPlace);
      return Attempt.failed(
          List.of(shortages.sentence(refused, itemOf(refused, job), book.rules().coin())));
    } catch (Across.Circle circle) {
      return Attempt.failed(
          List.of(
              Fault.whole(
                  "With this paper goods would be made of themselves: what is short of them would"
                      + " be made up for by what was made of it. Put right first what is short.")));
    } catch (ArithmeticException tooLarge) {
      return Attempt.failed(
          List.of(
              Fault.whole("With this paper an amount would be larger than the book can hold.")));
    }
  }

  private Item itemOf(CannotCost refused, Worker.Job job) {
    return sql.sql("select item_id from cost_event where id = ?")
        .param(refused.event().id())
        .query(Long.class)
        .optional()
        .map(job.items()::get)
        .orElseGet(
            () ->
                job.plan().events().stream()
                    .filter(e -> e.spot().equals(refused.event().at().spot()))
                    .map(e -> job.items().get(e.item()))
                    .findFirst()
                    .orElseThrow());
  }
}
