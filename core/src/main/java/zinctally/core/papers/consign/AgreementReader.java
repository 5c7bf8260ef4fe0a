package zinctally.core.papers.consign;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemGroup;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads what is agreed with a supplier about goods on consignment. */
public final class AgreementReader {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  private AgreementReader() {}

  public static Reading agreement(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    Terms.Discounts discounts = discounts(in);
    boolean lossOurs = !in.draft.field("losses").equals("theirs");
    String note = in.text("notes");
    Set<String> seen = new HashSet<>();
    List<Agreement.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) line(in, row, discounts, lossOurs, seen).ifPresent(lines::add);
    if (lines.isEmpty() && in.sound())
      in.fault(
          "rows.0.item",
          "About which goods, and what is owed for each? Leave the item empty for everything.");
    return in.done(() -> new Agreement(known(date), known(who), note, List.copyOf(lines)));
  }

  private static Terms.Discounts discounts(Reader in) {
    String typed = in.draft.field("discounts").toLowerCase(Locale.ROOT);
    return Arrays.stream(Terms.Discounts.values())
        .filter(d -> d.word().equals(typed))
        .findFirst()
        .orElse(Terms.Discounts.BOTH);
  }

  private static Optional<Agreement.Line> line(
      Reader in, RowReader row, Terms.Discounts discounts, boolean lossOurs, Set<String> seen) {
    String typed = row.cell("item");
    Optional<Item> item = typed.isEmpty() ? Optional.empty() : in.book.item(typed);
    Optional<ItemGroup> group =
        typed.isEmpty() || item.isPresent() ? Optional.empty() : in.book.group(typed);
    if (!typed.isEmpty() && item.isEmpty() && group.isEmpty())
      row.fault("item", "No item and no group is called \"" + typed + "\".");
    item.filter(i -> !i.stocked())
        .ifPresent(
            i -> row.fault("item", i.name() + " is not kept in stock; nobody can leave it here."));
    item.ifPresent(i -> row.facts(i, null, null));
    String what = item.map(Item::name).or(() -> group.map(ItemGroup::name)).orElse("Everything");
    if (!seen.add(what)) row.fault("item", what + " has a line already.");
    BigDecimal each = amount(in, row, "cost");
    BigDecimal percent = percent(in, row);
    BigDecimal least = amount(in, row, "least");
    if (row.sound() && (each == null) == (percent == null))
      row.fault(
          each == null ? "cost" : "share",
          "Either a cost for each, or their share of the price: fill in one of the two.");
    if (each != null && least != null)
      row.fault("least", "A cost for each is what it is; a least cost goes with a share.");
    if (!row.sound()) return Optional.empty();
    Terms terms = new Terms(each, percent, least, discounts, lossOurs);
    return Optional.of(
        new Agreement.Line(
            row.index(), item.orElse(null), group.orElse(null), terms, says(in, terms)));
  }

  /** All that is agreed, in words. */
  private static String says(Reader in, Terms terms) {
    return terms.says(in.book.rules().coin())
        + (terms.ofPrice() ? "; discounts borne by " + terms.discounts().words() : "")
        + "; losses borne by "
        + (terms.lossOurs() ? "us" : "them");
  }

  private static @Nullable BigDecimal amount(Reader in, RowReader row, String column) {
    if (row.cell(column).isEmpty()) return null;
    BigDecimal amount = in.amount(row.at(column), row.cell(column), 6);
    if (amount != null && amount.signum() < 0) row.fault(column, "It is not below zero.");
    return amount;
  }

  private static @Nullable BigDecimal percent(Reader in, RowReader row) {
    String typed = row.cell("share").replace("%", "").strip();
    if (typed.isEmpty()) return null;
    BigDecimal percent = in.amount(row.at("share"), typed, 4);
    if (percent != null && (percent.signum() < 0 || percent.compareTo(HUNDRED) > 0))
      row.fault("share", "Their share is between 0 and 100 percent of the price.");
    boolean ours = in.draft.field("shares").equals("ours");
    return percent == null ? null : ours ? HUNDRED.subtract(percent) : percent;
  }
}
