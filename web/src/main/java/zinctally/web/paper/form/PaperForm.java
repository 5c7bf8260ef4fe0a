package zinctally.web.paper.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;

/**
 * Which fields and columns a kind of paper has on the screen.
 *
 * @param feet fields below the lines
 */
public record PaperForm(
    PaperKind kind, List<Field> fields, List<Column> columns, List<Field> feet) {

  public PaperForm(PaperKind kind, List<Field> fields, List<Column> columns) {
    this(kind, fields, columns, List.of());
  }

  /** The same with a cost centre in its head and on its lines. */
  PaperForm borneBy(Suggestion centres) {
    List<Field> more = new ArrayList<>(fields);
    more.add(suggest(Draft.CENTRE, "Cost centre", centres));
    List<Column> wider = new ArrayList<>(columns);
    wider.add(text(Draft.CENTRE, "Cost centre", centres));
    return new PaperForm(kind, more, wider, feet);
  }

  /** Whether it has lines. */
  public boolean lined() {
    return !columns.isEmpty();
  }

  /** Whether its lines may have to say which lots or serial numbers they move. */
  public boolean numbered() {
    return kind.is(Trait.MOVES_GOODS);
  }

  /** Whether it is written at the counter. */
  public boolean counter() {
    return kind.is(Trait.COUNTER);
  }

  /** How a field is filled. */
  public enum Input {
    TEXT,
    DATE,
    CHOICE,
    SUGGEST
  }

  /**
   * @param choice what is chosen from; null for a field that is typed
   * @param suggestion what is offered while it is typed; null for nothing
   */
  public record Field(
      String name,
      String label,
      Input input,
      @Nullable Choice choice,
      @Nullable Suggestion suggestion) {
    /** Whether there is anything to choose, or it is typed. */
    public boolean needed() {
      return choice == null || choice.needed();
    }
  }

  /**
   * @param computed filled by the server, not typed
   * @param suggestion what is offered while it is typed; null for nothing
   * @param below what the server says below the cell; empty for nothing
   * @param says the words after that
   */
  public record Column(
      String name,
      String label,
      boolean figure,
      boolean computed,
      @Nullable Suggestion suggestion,
      String below,
      String says) {
    private Column(
        String name,
        String label,
        boolean figure,
        boolean computed,
        @Nullable Suggestion suggestion) {
      this(name, label, figure, computed, suggestion, "", "");
    }

    /** The same with something below it. */
    public Column below(String what, String words) {
      return new Column(name, label, figure, computed, suggestion, what, words);
    }

    /** What is offered, in addresses; null for nothing. */
    public @Nullable String suggest() {
      return suggestion == null ? null : suggestion.key();
    }
  }

  public static Field field(String name, String label) {
    return new Field(name, label, Input.TEXT, null, null);
  }

  public static Field date(String name, String label) {
    return new Field(name, label, Input.DATE, null, null);
  }

  public static Field choice(String name, String label, Choice choice) {
    return new Field(name, label, Input.CHOICE, choice, null);
  }

  public static Field suggest(String name, String label, Suggestion suggestion) {
    return new Field(name, label, Input.SUGGEST, null, suggestion);
  }

  public static Column text(String name, String label) {
    return new Column(name, label, false, false, null);
  }

  public static Column text(String name, String label, Suggestion suggestion) {
    return new Column(name, label, false, false, suggestion);
  }

  public static Column figure(String name, String label) {
    return new Column(name, label, true, false, null);
  }

  public static Column shown(String name, String label) {
    return new Column(name, label, true, true, null);
  }

  /** Everything that is offered somewhere in it. */
  Stream<Suggestion> suggestions() {
    return Stream.concat(
            Stream.concat(fields.stream(), feet.stream()).map(Field::suggestion),
            columns.stream().map(Column::suggestion))
        .filter(Objects::nonNull);
  }

  /**
   * Where a cell is, for people: {@code Line 4, price}; the paper's own fields by their labels.
   * What a line goes on from is called as its column is.
   */
  public String where(String cell) {
    Optional<Field> field = fields.stream().filter(f -> f.name().equals(cell)).findFirst();
    if (field.isPresent()) return field.get().label();
    String where = new Fault(cell, "").where();
    return columns.stream()
        .filter(c -> c.name().equals("of") && cell.endsWith(".of"))
        .findFirst()
        .map(c -> where.replaceFirst("of$", c.label().toLowerCase(Locale.ROOT)))
        .orElse(where);
  }
}
