package zinctally.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * What pages get of Bulma is what they need of it: rules whose classes some page, script or program
 * names, and the variables that those use. {@code -Dzinc.bulma=write} writes it anew.
 */
class BulmaPartTest {
  private static final Path PART = Path.of("src/main/resources/static/css/bulma.css");
  private static final Pattern CLASS = Pattern.compile("\\.(-?[_a-zA-Z][\\w-]*)");
  private static final Pattern WORD = Pattern.compile("[a-zA-Z][\\w-]*");
  private static final Pattern SET = Pattern.compile("(--[\\w-]+):[^;{}]*;?");
  private static final Pattern NOTHING = Pattern.compile("[^{}]+\\{\\}");
  private static final Pattern USED = Pattern.compile("var\\((--[\\w-]+)");

  @Test
  void pages_get_of_bulma_what_they_need_and_no_more() throws IOException {
    String part = part(whole(), words());
    if ("write".equals(System.getProperty("zinc.bulma"))) Files.writeString(PART, part);
    assertThat(Files.readString(PART)).isEqualTo(part);
  }

  private static String whole() throws IOException {
    Resource[] found =
        new PathMatchingResourcePatternResolver()
            .getResources("classpath*:META-INF/resources/webjars/bulma/*/css/bulma.min.css");
    assertThat(found).hasSize(1);
    try (InputStream in = found[0].getInputStream()) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  /** Whatever may be the name of a class. */
  private static Set<String> words() throws IOException {
    Set<String> words = new HashSet<>();
    for (String folder :
        new String[] {
          "src/main/resources/templates", "src/main/resources/static/js", "src/main/java"
        })
      try (Stream<Path> files = Files.walk(Path.of(folder))) {
        files.filter(Files::isRegularFile).forEach(file -> add(file, words));
      }
    return words;
  }

  private static void add(Path file, Set<String> words) {
    try {
      Matcher word = WORD.matcher(Files.readString(file));
      while (word.find()) words.add(word.group());
    } catch (IOException unread) {
      throw new UncheckedIOException(unread);
    }
  }

  /** The product's own styles, which may use a variable of Bulma's. */
  private static String own() throws IOException {
    StringBuilder own = new StringBuilder();
    try (Stream<Path> files = Files.list(PART.getParent())) {
      for (Path file : files.filter(f -> !f.equals(PART)).toList())
        own.append(Files.readString(file));
    }
    return own.toString();
  }

  private static String part(String css, Set<String> words) throws IOException {
    String kept = kept(css, words);
    for (String before = "";
        !before.equals(kept); ) { // a variable may have been used by another alone
      before = kept;
      Set<String> used = new HashSet<>();
      Matcher name = USED.matcher(kept + own());
      while (name.find()) used.add(name.group(1));
      kept =
          SET.matcher(kept)
              .replaceAll(
                  m -> used.contains(m.group(1)) ? Matcher.quoteReplacement(m.group()) : "");
      kept = NOTHING.matcher(kept).replaceAll("");
    }
    return "/* Of Bulma (MIT License, Jeremy Thomas): what pages need of it; a test keeps it so. */\n"
        + kept.replace("}", "}\n");
  }

  /** The rules that may match something, those within others too. */
  private static String kept(String css, Set<String> words) {
    StringBuilder kept = new StringBuilder();
    blocks(css)
        .forEach(
            (head, body) -> {
              if (head.startsWith("@charset")) return;
              boolean within = body.contains("{") && !head.startsWith("@keyframes");
              String inside = within ? kept(body, words) : body;
              boolean rule = !head.startsWith("@");
              String selectors = rule ? matching(head, words) : head;
              if (!selectors.isEmpty() && !inside.isEmpty())
                kept.append(selectors.strip()).append('{').append(inside).append('}');
            });
    return kept.toString();
  }

  private static String matching(String selectors, Set<String> words) {
    return String.join(
        ",",
        Stream.of(selectors.split(",(?![^(]*\\))"))
            .filter(s -> CLASS.matcher(s).results().allMatch(m -> words.contains(m.group(1))))
            .toList());
  }

  /** What stands before braces, and within; several of one head are told apart by spaces. */
  private static Map<String, String> blocks(String css) {
    Map<String, String> blocks = new LinkedHashMap<>();
    int from = 0;
    for (int open = css.indexOf('{'); open >= 0; open = css.indexOf('{', from)) {
      int close = open + 1;
      for (int deep = 1; deep > 0; close++) {
        char at = css.charAt(close);
        if (at == '{') deep++;
        else if (at == '}') deep--;
      }
      String head = css.substring(from, open);
      head = head.substring(head.lastIndexOf(';') + 1).strip();
      while (blocks.containsKey(head)) head += " ";
      blocks.put(head, css.substring(open + 1, close - 1));
      from = close;
    }
    return blocks;
  }
}
