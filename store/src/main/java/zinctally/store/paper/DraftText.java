package zinctally.store.paper;

import java.util.List;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;

/** Drafts as JSON text. */
public final class DraftText {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private record Body(Map<String, String> fields, List<Map<String, String>> rows) {}

  private DraftText() {}

  public static String write(Draft draft) {
    return JSON.writeValueAsString(new Body(draft.fields(), draft.rows()));
  }

  public static Draft read(PaperKind kind, String text) {
    Body body = JSON.readValue(text, new TypeReference<Body>() {});
    // what was written before it said so was written with a point
    return new Draft(kind, body.fields(), body.rows()).inForm(Form.POINT);
  }
}
