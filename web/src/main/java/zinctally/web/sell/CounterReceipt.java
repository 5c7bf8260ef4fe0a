package zinctally.web.sell;

import org.springframework.stereotype.Component;
import zinctally.store.book.BookStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.setup.LookStore;
import zinctally.web.shell.Say;

/** What a receipt printer prints of a counter sale. */
@Component
class CounterReceipt {
  /** Letters on a line. */
  static final int WIDTH = 42;

  private final BookStore books;
  private final LookStore looks;
  private final Say say;

  CounterReceipt(BookStore books, LookStore looks, Say say) {
    this.books = books;
    this.looks = looks;
    this.say = say;
  }

  /**
   * @param change as it was handed back; empty when there was none
   */
  String of(PostedPaper sale, String change) {
    StringBuilder text = new StringBuilder();
    LookStore.Look look = looks.look();
    text.append(books.book().name()).append('\n');
    if (!look.header().isBlank()) text.append(look.header()).append('\n');
    text.append('\n').append(pair(sale.number(), sale.date().toString())).append('\n');
    for (PostedPaper.Line line : sale.lines()) {
      text.append(cut(line.wording().isEmpty() ? line.name() : line.wording(), WIDTH)).append('\n');
      String each = "  " + line.quantity() + " x " + say.price(line.price()) + " / " + line.unit();
      if (line.discount().signum() != 0)
        each += " -" + say.percent(line.discount().stripTrailingZeros());
      text.append(pair(each, say.money(line.net() + line.tax()))).append('\n');
    }
    text.append("-".repeat(WIDTH)).append('\n');
    text.append(pair("Total " + books.book().coin().code(), say.money(sale.total()))).append('\n');
    text.append(pair("of it tax", say.money(sale.tax()))).append('\n');
    for (PostedPaper.Booking paid : sale.payments())
      text.append(pair("paid in " + paid.memo(), say.money(paid.amount()))).append('\n');
    for (PostedPaper.Due due : sale.dues())
      text.append(pair("due " + due.due(), say.money(due.amount()))).append('\n');
    if (!change.isEmpty()) text.append(pair("Change", change)).append('\n');
    if (!look.words("COUNTER_SALE").isBlank())
      text.append('\n').append(look.words("COUNTER_SALE")).append('\n');
    return text.toString();
  }

  private static String pair(String left, String right) {
    int room = Math.max(1, WIDTH - right.length() - 1);
    return String.format("%-" + room + "s %s", cut(left, room), right);
  }

  private static String cut(String words, int most) {
    return words.length() <= most ? words : words.substring(0, most);
  }
}
