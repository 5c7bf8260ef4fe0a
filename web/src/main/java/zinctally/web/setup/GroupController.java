package zinctally.web.setup;

import java.security.Principal;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.cost.Method;
import zinctally.store.book.SetUp;
import zinctally.store.goods.GroupStore;
import zinctally.store.ledger.AccountStore;
import zinctally.web.shell.SetsUp;

/** Groups of items, with their accounts and costing method. */
@Controller
class GroupController {
  private final SetUp setUp;
  private final AccountStore accounts;
  private final Trail trail;
  private final GroupStore groups;

  GroupController(SetUp setUp, AccountStore accounts, GroupStore groups, Trail trail) {
    this.setUp = setUp;
    this.accounts = accounts;
    this.trail = trail;
    this.groups = groups;
  }

  @GetMapping("/setup/groups")
  String groups(Model model) {
    GroupStore.Tree tree = groups.tree();
    model.addAttribute("tree", tree);
    model.addAttribute("methods", List.of(Method.FIFO, Method.AVERAGE));
    model.addAttribute("accounts", accounts.all());
    return "setup/groups";
  }

  @SetsUp
  @PostMapping("/setup/groups")
  String saveGroup(
      @RequestParam long id,
      @RequestParam long parent,
      @RequestParam String name,
      @RequestParam String method,
      @RequestParam long stockAccount,
      @RequestParam long salesAccount,
      @RequestParam long costAccount,
      Principal who,
      RedirectAttributes after) {
    return setUp.alone(
        () -> kept(id, parent, name, method, stockAccount, salesAccount, costAccount, who, after));
  }

  private String kept(
      long id,
      long parent,
      String name,
      String method,
      long stockAccount,
      long salesAccount,
      long costAccount,
      Principal who,
      RedirectAttributes after) {
    GroupStore.Tree tree = groups.tree();
    if (name.isBlank() || name.length() > 80)
      return Answer.wrong(after, "/groups", "A group needs a name of at most 80 letters.");
    Method costing = method.isEmpty() ? null : Method.valueOf(method);
    if (id != 0 && parent != 0 && tree.within(parent, id))
      return Answer.wrong(after, "/groups", "A group cannot stand below itself.");
    boolean top = id == tree.top().id();
    if (!top && tree.group(parent) == null)
      return Answer.wrong(after, "/groups", "Below which group does it stand?");
    if (top && (costing == null || stockAccount == 0 || salesAccount == 0 || costAccount == 0))
      return Answer.wrong(
          after, "/groups", "The top group leaves nothing open: method and all three accounts.");
    if (id != 0) {
      long was = tree.stockAccount(id);
      long is = stockAccount != 0 ? stockAccount : tree.stockAccount(parent);
      boolean below =
          tree.inOrder().stream().anyMatch(g -> tree.within(g.id(), id) && groups.moved(g.id()));
      if (was != is && below)
        return Answer.wrong(
            after,
            "/groups",
            "The stock account of "
                + name
                + " stays: its goods have movements that are booked there.");
    }
    try {
      var group =
          new GroupStore.Group(
              id, top ? 0 : parent, name.strip(), costing, stockAccount, salesAccount, costAccount);
      if (id == 0) groups.add(group);
      else groups.change(group);
      trail.leave(who, "group", id, Optional.ofNullable(tree.group(id)), Optional.of(group));
    } catch (DuplicateKeyException twice) {
      return Answer.wrong(
          after, "/groups", "There is a group called " + name.strip() + " already.");
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/groups";
  }
}
