package zinctally.core.papers.make;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Trait;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.OnAccount;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads what assembly and disassembly have in common: the one item, the many, and the work. */
final class MakingReader {
  final Reader in;
  final @Nullable LocalDate date;
  final @Nullable Place place;
  final @Nullable Place into;
  private final NumbersReader numbers;
  private final List<Work> work = new ArrayList<>();
  private long promisedTo;

  MakingReader(Reader in) {
    this.in = in;
    date = in.date();
    place = in.place("place", in.draft.field("place"));
    String typed = in.draft.field("into");
    into = typed.isEmpty() ? place : in.place("into", typed);
    numbers = new NumbersReader(in);
  }

  /** Says whose promises may be kept with it: those of the work order it does, by its paper. */
  void promisedTo(long order) {
    promisedTo = order;
  }

  /**
   * The item in the head.
   *
   * @param leaves whether it leaves; else it comes in
   */
  @Nullable Goods one(boolean leaves) {
    RowReader head = in.head();
    Item item = head.stocked("there is nothing to make or take apart.");
    return item == null ? null : goods(head, item, leaves);
  }

  /** The item of a line; null for work, or when something is wrong. */
  @Nullable Item other(RowReader row, @Nullable Goods one) {
    Optional<Account> account = OnAccount.of(row);
    if (account.isPresent()) {
      work(row, account.get());
      return null;
    }
    Item item = row.stocked("name an account for work that is added.");
    if (item == null || one == null || item.id() != one.item().id()) return item;
    row.fault("item", item.name() + " cannot be made of itself.");
    return null;
  }

  private void work(RowReader row, Account account) {
    String wording = OnAccount.wording(row);
    row.facts(new Reading.RowFacts(account, ""));
    if (!row.cell("quantity").isEmpty())
      row.fault("quantity", "An account has no quantity; its amount alone is added.");
    if (row.cell("amount").isEmpty()) {
      row.fault("amount", "How much of it is added to the cost?");
      return;
    }
    Long amount = in.money(row.at("amount"), row.cell("amount"));
    if (amount != null && amount == 0)
      row.fault("amount", "Nothing is added by zero; leave the line out.");
    row.amounting(amount);
    if (row.sound() && amount != null) work.add(new Work(row.index(), account, wording, amount));
  }

  List<Work> work() {
    return List.copyOf(work);
  }

  /** An item with its quantity and numbers; null when something is wrong. */
  @Nullable Goods goods(RowReader row, Item item, boolean leaves) {
    Units.Typed quantity = row.above(item.units(), ".");
    row.facts(item, quantity, null);
    String memo = row.memo();
    if (quantity == null) return null;
    long micros = quantity.quantity().micros();
    boolean moves = !in.draft.kind().is(Trait.ORDERS);
    if (leaves && moves) row.askPromised(item, place, micros, promisedTo);
    List<Numbered> given = List.of();
    if (row.sound() && item.tracked() && moves)
      given =
          leaves
              ? numbers.leaving(row, item, micros, place)
              : numbers.arriving(row, item, micros, into);
    return !row.sound() || given == null
        ? null
        : new Goods(row.index(), item, quantity.quantity(), quantity.unit().sign(), memo, given);
  }
}
