package zinctally.web.paper.form;

import java.util.List;

/** The forms of an area's papers; each area has its own. */
public interface AreaForms {
  List<PaperForm> forms();
}
