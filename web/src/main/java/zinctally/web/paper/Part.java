package zinctally.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.Draft;

/**
 * The lines of a draft that a window shows and sends: all of them, or of a long paper some, between
 * others that stay as they were saved.
 *
 * @param from the first line, from zero
 * @param to the first line after them; {@link #END} when they are the last
 * @param all how many lines the draft has
 */
public record Part(int from, int to, int all) {
  private static final int LONG = 300;
  private static final int SHOWN = 200;

  /** After any line there can be. */
  static final int END = 10_000;

  /** All lines of a paper. */
  static final Part WHOLE = new Part(0, END, 0);

  /** The part of a draft in which a line is; a paper that is not long is shown whole. */
  static Part with(Draft draft, int line) {
    int all = draft.typedRows().size();
    if (all <= LONG) return new Part(0, END, all);
    int from = Math.max(0, Math.min(line, all - 1)) / SHOWN * SHOWN;
    return new Part(from, from + SHOWN >= all ? END : from + SHOWN, all);
  }

  /** The part that a window sends; the whole when it does not say. */
  static Part sent(HttpServletRequest request) {
    int from = number(request.getParameter("_from"), 0);
    return new Part(from, Math.max(from, number(request.getParameter("_to"), END)), 0);
  }

  private static int number(String sent, int otherwise) {
    return sent != null && sent.matches("\\d{1,5}") ? Integer.parseInt(sent) : otherwise;
  }

  public boolean isWhole() {
    return from == 0 && to == END;
  }

  /** Whether a line is among them. */
  public boolean holds(int line) {
    return line >= from && line < to;
  }

  /** The last of them that is shown, counted from one. */
  public int last() {
    return Math.min(to, all);
  }

  /** A line of the part before; below zero when there is none. */
  public int earlier() {
    return from - SHOWN;
  }

  /** A line of the part after; below zero when there is none. */
  public int later() {
    return to == END ? -1 : to;
  }

  /** What is typed in these lines, between the others of the draft as it was saved. */
  Draft within(Draft saved, Draft typed) {
    if (isWhole()) return typed;
    List<Map<String, String>> rows = new ArrayList<>(saved.rows());
    while (rows.size() < from) rows.add(Map.of());
    List<Map<String, String>> after =
        to < rows.size() ? List.copyOf(rows.subList(to, rows.size())) : List.of();
    rows.subList(from, rows.size()).clear();
    List<Map<String, String>> mine = typed.typedRows();
    if (mine.size() > from) rows.addAll(mine.subList(from, mine.size()));
    rows.addAll(after);
    return new Draft(typed.kind(), typed.fields(), rows);
  }

  /** The same once a draft is kept in which these lines have become more or fewer. */
  Part of(Draft before, Draft kept) {
    int grown = kept.typedRows().size() - before.typedRows().size();
    return new Part(from, to == END ? END : to + grown, kept.typedRows().size());
  }

  /** Their rows of a draft. */
  List<Map<String, String>> rows(Draft draft) {
    List<Map<String, String>> typed = draft.typedRows();
    return typed.subList(Math.min(from, typed.size()), Math.min(to, typed.size()));
  }
}
