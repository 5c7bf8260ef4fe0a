package zinctally.web.paper;

import java.io.IOException;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import zinctally.store.opening.SheetReader;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.web.paper.form.Forms;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Lines of a paper that stand in a file; the page puts them below what is typed. */
@Controller
class RowsFileController {
  private final DraftStore drafts;
  private final Forms forms;

  RowsFileController(DraftStore drafts, Forms forms) {
    this.drafts = drafts;
    this.forms = forms;
  }

  /**
   * @param says what is wrong, or was left out; empty for nothing
   */
  record Answer(List<Map<String, String>> rows, String says) {}

  @ByKind
  @PostMapping("/drafts/{id}/file")
  ResponseEntity<Answer> rows(
      @PathVariable long id, @RequestParam MultipartFile file, Principal who) throws IOException {
    SavedDraft saved = drafts.find(id).orElseThrow(() -> new NotThere("draft " + id));
    May.must(May.write(who, saved));
    String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
    try {
      RowsFile read =
          RowsFile.of(SheetReader.file(name, file.getBytes()), forms.of(saved.draft().kind()));
      String says =
          read.leftOut().isEmpty() ? "" : "Left out: " + String.join(", ", read.leftOut()) + ".";
      return ResponseEntity.ok(new Answer(read.rows(), says));
    } catch (SheetReader.Unreadable | IllegalArgumentException wrong) {
      return ResponseEntity.status(HttpStatus.UNPROCESSABLE_ENTITY)
          .body(new Answer(List.of(), String.valueOf(wrong.getMessage())));
    }
  }
}
