package zinctally.web.shell;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;

/** How figures and dates stand on the screen. */
@Component("say")
public class Say {
  private static final DateTimeFormatter HEADING =
      DateTimeFormatter.ofPattern("EEEE, d MMMM", Locale.ENGLISH);
  private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
  private static final Pattern NUMBER = Pattern.compile("\\b[A-Z]{1,3}-\\d{4}-\\d{4,}\\b");
  private final BookStore books;

  Say(BookStore books) {
    this.books = books;
  }

  /** Looked up once for each request, not once for each figure. */
  public Coin coin() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request == null) return lookedUp();
    Object kept = request.getAttribute("coin", RequestAttributes.SCOPE_REQUEST);
    if (kept instanceof Coin coin) return coin;
    Coin coin = lookedUp();
    request.setAttribute("coin", coin, RequestAttributes.SCOPE_REQUEST);
    return coin;
  }

  private Coin lookedUp() {
    return books.find().map(Book::coin).orElse(Coin.of("EUR"));
  }

  public String money(@Nullable Long minor) {
    return minor == null ? "" : coin().say(minor);
  }

  /** Nothing at all for zero. */
  public String quiet(Long minor) {
    return minor == null || minor == 0 ? "" : coin().say(minor);
  }

  public String debit(long amount) {
    return amount > 0 ? coin().say(amount) : "";
  }

  public String credit(long amount) {
    return amount < 0 ? coin().say(-amount) : "";
  }

  public String plain(long minor) {
    return coin().plain(minor);
  }

  public String quantity(long micros) {
    return Figures.grouped(new BigDecimal(new Quantity(micros).toString()), 0);
  }

  /** With a sign either way. */
  public String change(long minor) {
    return (minor > 0 ? "+" : "") + coin().say(minor);
  }

  /** Value for each base unit. */
  public String each(long minor, long micros) {
    if (micros == 0) return "";
    BigDecimal each = coin().each(minor, micros);
    return Figures.grouped(each, coin().digits());
  }

  /**
   * Value of {@code size} millionths, where {@code minor} is the value of {@code micros}; plain
   * digits.
   */
  public String each(long minor, long micros, long size) {
    BigDecimal each =
        coin()
            .decimal(minor)
            .multiply(BigDecimal.valueOf(size))
            .divide(BigDecimal.valueOf(micros), 4, RoundingMode.HALF_UP)
            .stripTrailingZeros();
    return Figures.plain(each);
  }

  public String price(BigDecimal price) {
    if (price == null) return "";
    return Figures.grouped(coin().price(price), coin().digits());
  }

  /** Gross margin on sales, as a percentage. */
  public String margin(long sales, long cost) {
    if (sales == 0) return "";
    return share(
        BigDecimal.valueOf(sales - cost)
            .multiply(BigDecimal.valueOf(100))
            .divide(BigDecimal.valueOf(sales), 1, RoundingMode.HALF_UP));
  }

  /** A rate or discount, with as many places as it has. */
  public String percent(BigDecimal percent) {
    return Figures.grouped(percent, 0) + "%";
  }

  /** A share that was worked out, always with one place, so that a column of them lines up. */
  public String share(BigDecimal percent) {
    return Figures.grouped(percent, 1) + "%";
  }

  private static final List<String> SIZES = List.of("KB", "MB", "GB", "TB");

  /** A size of a file or disk, in steps of a thousand: {@code 1.5 GB}. */
  public String bytes(long bytes) {
    BigDecimal size = BigDecimal.valueOf(bytes).movePointLeft(3);
    int step = 0;
    for (; step < SIZES.size() - 1 && size.compareTo(BigDecimal.valueOf(1000)) >= 0; step++)
      size = size.movePointLeft(3);
    return Figures.grouped(size.setScale(1, RoundingMode.HALF_UP), 1) + " " + SIZES.get(step);
  }

  /** The day on which the book begins. */
  public LocalDate firstDay() {
    return books.book().cutOver();
  }

  public String heading(LocalDate date) {
    return HEADING.format(date);
  }

  public String moment(LocalDateTime at) {
    return MOMENT.format(at);
  }

  public String clock(LocalDateTime at) {
    return String.format("%02d:%02d", at.getHour(), at.getMinute());
  }

  /**
   * Some words of a sentence.
   *
   * @param href where they lead; null for nowhere
   */
  public record Piece(String words, @Nullable String href) {}

  /** A sentence with the papers it names as links. */
  public List<Piece> pieces(String sentence) {
    List<Piece> pieces = new ArrayList<>();
    Matcher number = NUMBER.matcher(sentence);
    int from = 0;
    while (number.find()) {
      pieces.add(new Piece(sentence.substring(from, number.start()), null));
      pieces.add(new Piece(number.group(), "/papers/number/" + number.group()));
      from = number.end();
    }
    pieces.add(new Piece(sentence.substring(from), null));
    return pieces;
  }

  /** What stands before decimals in figures of the work at hand. */
  public String decimal() {
    return String.valueOf(Figures.form().decimal());
  }
}
