package zinctally.core.papers.tax;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zinctally.core.ledger.Role;

/**
 * A box of the tax return.
 *
 * @param code what the office calls it: {@code 1}
 * @param of codes of the rates it counts, in words: {@code S, R}; empty for all of them. Of a box
 *     that adds up others, their codes with signs: {@code 1 - 2}
 */
public record TaxBox(String code, String words, Counts counts, String of) {
  private static final Pattern TERM = Pattern.compile("([+-]?)\\s*([^\\s+,-]+)");
  private static final Pattern TERMS =
      Pattern.compile("\\s*-?\\s*[^\\s+,-]+(\\s*[+-]\\s*[^\\s+,-]+)*\\s*");

  /** What a box counts. */
  public enum Counts {
    SALES_TAX("tax on sales", Role.SALES_TAX, true),
    PURCHASE_TAX("tax on purchases", Role.PURCHASE_TAX, true),
    SALES("sales without tax", Role.SALES_TAX, false),
    PURCHASES("purchases without tax", Role.PURCHASE_TAX, false),
    BOXES("boxes above it", Role.NONE, false);

    private final String words;
    private final Role side;
    private final boolean tax;

    Counts(String words, Role side, boolean tax) {
      this.words = words;
      this.side = side;
      this.tax = tax;
    }

    public String words() {
      return words;
    }

    /** {@link Role#NONE} where it counts other boxes. */
    public Role side() {
      return side;
    }

    /** Whether it counts tax, and not what bears it. */
    public boolean tax() {
      return tax;
    }
  }

  /**
   * A box that is added to another, or taken off.
   *
   * @param sign 1 or -1
   */
  public record Term(int sign, String box) {}

  /** Codes of the rates it counts; empty for all. */
  public List<String> rates() {
    return Stream.of(of.split(",")).map(String::strip).filter(r -> !r.isEmpty()).toList();
  }

  /** What it adds up, of a box that adds up others. */
  public List<Term> terms() {
    List<Term> terms = new ArrayList<>();
    Matcher term = TERM.matcher(of);
    while (term.find()) terms.add(new Term(term.group(1).equals("-") ? -1 : 1, term.group(2)));
    return terms;
  }

  /** Whether it counts something at a rate. */
  boolean takes(TaxDue due) {
    return due.side() == counts.side() && (of.isBlank() || rates().contains(due.rate()));
  }

  /**
   * What is wrong with it.
   *
   * @param above codes of the boxes above it
   * @param known codes of the rates there are
   */
  public Optional<String> wrong(List<String> above, List<String> known) {
    if (counts != Counts.BOXES)
      return rates().stream()
          .filter(r -> !known.contains(r))
          .findFirst()
          .map(
              r ->
                  "There is no tax rate \""
                      + r
                      + "\"; name them with commas between: "
                      + String.join(", ", known)
                      + ". Empty counts all.");
    if (!TERMS.matcher(of).matches())
      return Optional.of("Which boxes does " + code + " add up? Such as 1 + 2 - 3.");
    return terms().stream()
        .filter(t -> !above.contains(t.box()))
        .findFirst()
        .map(t -> "No box " + t.box() + " stands above " + code + ".");
  }
}
