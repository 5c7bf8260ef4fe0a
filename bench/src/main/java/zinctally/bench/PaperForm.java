package zinctally.bench;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The form of a paper on a page, as a browser would send it. */
final class PaperForm {
  private static final Pattern INPUT = Pattern.compile("<(?:input|option)[^>]*>");
  private static final Pattern ATTRIBUTE = Pattern.compile("(name|value|type)=\"([^\"]*)\"");

  private PaperForm() {}

  /** What stands in the fields and cells of the paper's form. */
  static Map<String, String> inputs(String page) {
    Map<String, String> fields = new LinkedHashMap<>();
    int from = page.indexOf("<form id=\"paper\"");
    if (from < 0) return fields;
    String form = page.substring(from, page.indexOf("</form>", from));
    Matcher input = INPUT.matcher(form);
    while (input.find()) {
      Map<String, String> attributes = new HashMap<>();
      Matcher attribute = ATTRIBUTE.matcher(input.group());
      while (attribute.find()) attributes.put(attribute.group(1), attribute.group(2));
      String name = attributes.get("name");
      if (name != null && !name.equals("_csrf"))
        fields.put(name, attributes.getOrDefault("value", "").replace("&amp;", "&"));
    }
    Matcher select =
        Pattern.compile("<select[^>]*name=\"([^\"]+)\"[^>]*>(.*?)</select>", Pattern.DOTALL)
            .matcher(form);
    while (select.find()) {
      Matcher chosen =
          Pattern.compile("<option value=\"([^\"]*)\"[^>]*selected").matcher(select.group(2));
      Matcher first = Pattern.compile("<option value=\"([^\"]*)\"").matcher(select.group(2));
      if (chosen.find()) fields.put(select.group(1), chosen.group(1));
      else if (first.find()) fields.put(select.group(1), first.group(1));
    }
    return fields;
  }
}
