package zinctally.web.setup;

import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.CentreTree;
import zinctally.store.NotKept;
import zinctally.store.book.SetUp;
import zinctally.store.ledger.CentreStore;
import zinctally.web.shell.SetsUp;

/** Cost centres, and which of them usually bears what. */
@Controller
class CentresController {
  private static final String PAGE = "/centres";
  private final SetUp setUp;
  private final CentreStore centres;
  private final Trail trail;

  CentresController(SetUp setUp, CentreStore centres, Trail trail) {
    this.setUp = setUp;
    this.centres = centres;
    this.trail = trail;
  }

  @GetMapping("/setup/centres")
  String show(Model model) {
    model.addAttribute("centres", centres.tree().inOrder());
    model.addAttribute("usual", centres.usual());
    model.addAttribute("kinds", CentreStore.Of.values());
    return "setup/centres";
  }

  @SetsUp
  @PostMapping("/setup/centres")
  String save(
      @RequestParam long id,
      @RequestParam String name,
      @RequestParam(defaultValue = "0") long parent,
      @RequestParam(defaultValue = "false") boolean active,
      Principal who,
      RedirectAttributes after) {
    CentreTree.Node node =
        new CentreTree.Node(new Centre(id, name.strip()), parent, active || id == 0);
    return Answer.tried(
        setUp,
        after,
        PAGE,
        () -> {
          Optional<CentreTree.Node> before = centres.tree().node(id);
          centres.save(node);
          trail.leave(who, "cost centre", id, before, Optional.of(node));
        });
  }

  /** Says what usually is borne by which; what is not sent stays as it is. */
  @SetsUp
  @PostMapping("/setup/centres/usual")
  String usual(@RequestParam Map<String, String> sent, Principal who, RedirectAttributes after) {
    return Answer.tried(
        setUp,
        after,
        PAGE,
        () -> {
          CentreTree tree = centres.tree();
          for (Map.Entry<CentreStore.Of, List<CentreStore.Usual>> of : centres.usual().entrySet())
            for (CentreStore.Usual one : of.getValue()) {
              String to = sent.get(of.getKey().name() + one.id());
              if (to == null || to.equals(String.valueOf(one.centre()))) continue;
              long centre = to.equals("0") ? 0 : of(tree, to).centre().id();
              centres.usual(of.getKey(), one.id(), centre);
              trail.leave(
                  who,
                  "usual cost centre",
                  one.id(),
                  Optional.of(one.name() + ": " + name(tree, one.centre())),
                  Optional.of(one.name() + ": " + name(tree, centre)));
            }
        });
  }

  private static CentreTree.Node of(CentreTree tree, String id) {
    return Optional.of(id)
        .filter(i -> i.matches("\\d{1,18}"))
        .flatMap(i -> tree.node(Long.parseLong(i)))
        .orElseThrow(() -> new NotKept("A cost centre that was chosen is no longer there."));
  }

  private static String name(CentreTree tree, long id) {
    return tree.node(id).map(n -> n.centre().name()).orElse("none");
  }
}
