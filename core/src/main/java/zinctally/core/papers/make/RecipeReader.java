package zinctally.core.papers.make;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.OnAccount;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads a recipe. */
public final class RecipeReader {
  private final Reader in;
  private final List<Batch.Part> parts = new ArrayList<>();
  private final List<Batch.Labour> work = new ArrayList<>();
  private final List<Recipe.Note> partNotes = new ArrayList<>();
  private final List<Recipe.Note> workNotes = new ArrayList<>();
  private final Set<Long> seen = new HashSet<>();
  private @Nullable Long cost = 0L;

  private RecipeReader(Reader in) {
    this.in = in;
  }

  public static Reading recipe(Reader in) {
    return new RecipeReader(in).read();
  }

  private Reading read() {
    LocalDate date = in.date();
    String where = in.draft.field("place");
    Place place = where.isEmpty() ? null : in.place("place", where);
    RowReader head = in.head();
    Item made = head.stocked("there is nothing to make.");
    Units.Typed many = made == null ? null : head.above(made.units(), ".");
    for (RowReader row : in.rows()) line(row, made);
    if (parts.isEmpty() && in.sound())
      in.fault("rows.0.item", "Of what is it made? Name each component and how many go into it.");
    return in.done(
        () ->
            new Recipe(
                known(date),
                place,
                new Batch(
                    known(made), known(many).quantity(), List.copyOf(parts), List.copyOf(work)),
                known(many).unit().sign(),
                new Recipe.Lines(head.index(), List.copyOf(partNotes), List.copyOf(workNotes)),
                Optional.ofNullable(cost)));
  }

  private void line(RowReader row, @Nullable Item made) {
    Optional<Account> account = OnAccount.of(row);
    if (account.isPresent()) {
      labour(row, account.get());
      return;
    }
    Item item = row.stocked("name an account for work that is added.");
    if (item == null) return;
    if (made != null) circle(row, item, made);
    if (!seen.add(item.id()))
      row.fault("item", item.name() + " has a line already; write all that goes in on one.");
    for (String column : List.of("batch", "piece"))
      if (!row.cell(column).isEmpty())
        row.fault(column, "Goods cost what the book says; an amount is for work that is added.");
    Units.Typed quantity = row.above(item.units(), ".");
    BigDecimal waste = waste(row);
    row.facts(item, quantity, null);
    String memo = row.memo();
    if (quantity == null || waste == null) return;
    if (row.sound()) priced(row, item, quantity.quantity());
    parts.add(new Batch.Part(item, quantity.quantity(), waste));
    partNotes.add(new Recipe.Note(row.index(), quantity.unit().sign(), memo));
  }

  private void circle(RowReader row, Item item, Item made) {
    if (item.id() == made.id()) row.fault("item", item.name() + " cannot be made of itself.");
    else
      in.book
          .goesInto(made.id(), item.id())
          .ifPresent(
              way ->
                  row.fault(
                      "item",
                      "This goes in a circle: " + item.name() + " is made of " + way + "."));
  }

  private void priced(RowReader row, Item item, Quantity quantity) {
    Optional<Catalogue.LatestCost> known = in.book.presentCost(item.id());
    Long worth = known.map(k -> k.of(quantity.micros())).orElse(null);
    row.amounting(worth);
    cost = cost == null || worth == null ? null : Long.valueOf(Math.addExact(cost, worth));
  }

  private @Nullable BigDecimal waste(RowReader row) {
    String typed = row.cell("waste").replace("%", "").strip();
    if (typed.isEmpty()) return BigDecimal.ZERO;
    BigDecimal waste = in.amount(row.at("waste"), typed, 4);
    if (waste == null || waste.signum() >= 0 && waste.compareTo(BigDecimal.valueOf(900)) <= 0)
      return waste;
    row.fault("waste", "Waste is from 0 to 900 percent of what is in it.");
    return null;
  }

  private void labour(RowReader row, Account account) {
    row.facts(new Reading.RowFacts(account, ""));
    for (String column : List.of("quantity", "waste"))
      if (!row.cell(column).isEmpty())
        row.fault(column, "An account has amounts only: for a batch, or for each.");
    if (row.cell("batch").isEmpty() && row.cell("piece").isEmpty())
      row.fault("batch", "How much is added, for a batch or for each that is made?");
    Long batch = amount(row, "batch");
    Long piece = amount(row, "piece");
    if (!row.sound() || batch == null || piece == null) return;
    work.add(new Batch.Labour(account, OnAccount.wording(row), batch, piece));
    workNotes.add(new Recipe.Note(row.index(), "", row.memo()));
  }

  private @Nullable Long amount(RowReader row, String column) {
    return row.cell(column).isEmpty()
        ? Long.valueOf(0)
        : in.money(row.at(column), row.cell(column));
  }
}
