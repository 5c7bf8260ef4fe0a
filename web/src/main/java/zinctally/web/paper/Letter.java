package zinctally.web.paper;

import java.text.Bidi;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.Collections;
import java.util.List;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import zinctally.store.book.BookStore;
import zinctally.store.setup.LookStore;
import zinctally.web.shell.Say;

/** What all papers that are handed over have: the book's look, and pieces of a letter. */
@Component
class Letter {
  private final BookStore books;
  private final LookStore looks;
  private final Say say;

  Letter(BookStore books, LookStore looks, Say say) {
    this.books = books;
    this.looks = looks;
    this.say = say;
  }

  /** Something above the lines: a label, and what stands under it. */
  public record Fact(String label, List<String> lines) {}

  /**
   * @param figure whether it stands at the far side
   */
  public record Column(String name, String label, boolean figure) {}

  /** From the right for a language that is read so: tables are always laid out from the left. */
  static <T> List<T> inReadingOrder(Words words, List<T> cells) {
    if (words.get("dir").equals("ltr")) return cells;
    List<T> turned = new ArrayList<>(cells);
    Collections.reverse(turned);
    return turned;
  }

  /** A name and its address, which may begin with the name. */
  static List<String> named(String name, String address) {
    List<String> all = new ArrayList<>(List.of(name));
    lines(address).stream().filter(line -> !line.equals(name)).forEach(all::add);
    return all;
  }

  Context context(LookStore.Look look, String language, String title) {
    Context context = new Context();
    context.setVariable("w", PaperWords.in(language));
    context.setVariable("title", title);
    context.setVariable("look", look);
    context.setVariable("book", books.book());
    context.setVariable("own", new OwnWords());
    context.setVariable("say", say);
    context.setVariable(
        "logo",
        looks
            .logo()
            .map(
                l ->
                    "data:" + l.type() + ";base64," + Base64.getEncoder().encodeToString(l.bytes()))
            .orElse(null));
    return context;
  }

  /** Words of the book's own, in whatever language its papers are. */
  public record OwnWords() {
    /** Where the words begin: from their first letter that is read in a direction. */
    public String direction(String words) {
      return new Bidi(words, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight()
          ? "ltr"
          : "rtl";
    }
  }

  static List<String> lines(String address) {
    return Arrays.stream(address.split(",")).map(String::strip).filter(l -> !l.isEmpty()).toList();
  }
}
