package zinctally.core.papers;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import zinctally.core.goods.Item;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.tax.Taxed;

/** A paper that has been read and found sound. Amounts are minor units. */
public interface Paper {
  PaperKind kind();

  LocalDate date();

  /** Who it is from or for, when it is one party. */
  default Optional<Party> party() {
    return Optional.empty();
  }

  /** The same paper with everyone in it who is not known yet made. */
  default Paper withParties(UnaryOperator<Party> made) {
    return this;
  }

  /** The same paper with places, standings and owners that had no goods yet made. */
  default Paper withPlaces(UnaryOperator<Place> made) {
    return this;
  }

  /** The same paper with items that are made with it. */
  default Paper withItems(UnaryOperator<Item> made) {
    return this;
  }

  /** What is made with it: items it names for the first time, and prices it brings. */
  default List<Newcomer> newcomers() {
    return items().stream().filter(i -> i.id() < 0).map(i -> new Newcomer(i, "", null)).toList();
  }

  /** The item that is kept in stock from it on. */
  default Optional<Item> stocks() {
    return Optional.empty();
  }

  /** Items its lines speak of. */
  default List<Item> items() {
    return rows().stream().map(Row::item).filter(Objects::nonNull).toList();
  }

  /** The paper's own total, tax included. */
  long total();

  /** What is kept of it beside its lines. */
  Head head();

  /** Its lines as they are kept; empty when they are kept otherwise. */
  List<Row> rows();

  /** What it takes from one place to another, line by line, as far as its proof shows it. */
  default List<Carried> carried() {
    return List.of();
  }

  /** What it comes to, as its proof shows it; empty when its entry says it all. */
  default List<Sum> sums() {
    return List.of();
  }

  /** The login of whom it names as seller; empty for whoever writes it. */
  default String seller() {
    return "";
  }

  /** The paper whose seller it counts for when it names none; zero for none. */
  default long soldWith() {
    return 0;
  }

  /** The counter at which its cash is taken or given; empty when it is written elsewhere. */
  default Optional<Place> counter() {
    return Optional.empty();
  }

  /** What of it goes further than its writer may; empty for a paper that nobody is held by. */
  default List<Fault> beyond(Allowed allowed, Catalogue book) {
    return List.of();
  }

  /** What it sells or buys at each rate of tax; empty for a paper that does neither. */
  default List<Taxed> taxed() {
    return List.of();
  }

  /** What it wants done to stock and ledger. */
  Plan plan(Catalogue book);
}
