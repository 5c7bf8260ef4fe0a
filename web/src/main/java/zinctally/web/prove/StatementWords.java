package zinctally.web.prove;

import java.util.Locale;
import org.springframework.context.support.ResourceBundleMessageSource;
import org.springframework.stereotype.Component;
import zinctally.core.statement.Line;
import zinctally.core.statement.Statement;

/**
 * The fixed words of statements in the languages that are printed. Names of accounts, and headings
 * that the book has named itself, stay as they are.
 */
@Component
class StatementWords {
  private static final String IN_ALL = ", in all";
  private final ResourceBundleMessageSource words = new ResourceBundleMessageSource();

  StatementWords() {
    words.setBasename("words/statements");
    words.setDefaultEncoding("UTF-8");
    words.setFallbackToSystemLocale(false);
  }

  Statement in(Locale locale, Statement statement) {
    return new Statement(
        said(statement.name(), locale),
        statement.columns(),
        statement.lines().stream()
            .map(
                l ->
                    new Line(
                        l.kind(),
                        l.depth(),
                        line(l.words(), locale),
                        l.account(),
                        l.amounts(),
                        l.adds()))
            .toList());
  }

  private String line(String own, Locale locale) {
    if (!own.endsWith(IN_ALL)) return said(own, locale);
    String bare = own.substring(0, own.length() - IN_ALL.length());
    return said(bare, locale) + said(IN_ALL, locale);
  }

  private String said(String own, Locale locale) {
    String key = own.replaceAll("[^A-Za-z]+", "-").toLowerCase(Locale.ROOT);
    return String.valueOf(words.getMessage(key, null, own, locale));
  }
}
