package zinctally.store.goods;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.Method;
import zinctally.store.sql.NewRow;

/** Groups of items, in a tree; what a group leaves open it takes from the group above. */
@Repository
public class GroupStore {
  private final JdbcClient sql;

  GroupStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param parent zero for the top
   * @param method null: as the group above; likewise zero for the accounts
   */
  public record Group(
      long id,
      long parent,
      String name,
      @Nullable Method method,
      long stockAccount,
      long salesAccount,
      long costAccount) {}

  /** All groups at once. */
  public static final class Tree {
    private final Map<Long, Group> groups = new HashMap<>();
    private final List<Group> inOrder = new ArrayList<>();
    private final Map<Long, Integer> depths = new HashMap<>();

    Tree(List<Group> all) {
      all.forEach(g -> groups.put(g.id(), g));
      all.stream().filter(g -> g.parent() == 0).forEach(g -> place(g, all, 0));
    }

    private void place(Group group, List<Group> all, int depth) {
      inOrder.add(group);
      depths.put(group.id(), depth);
      all.stream().filter(g -> g.parent() == group.id()).forEach(g -> place(g, all, depth + 1));
    }

    /** A group before those below it. */
    public List<Group> inOrder() {
      return inOrder;
    }

    public int depth(long id) {
      return depths.getOrDefault(id, 0);
    }

    public Group top() {
      return inOrder.get(0);
    }

    /** The group of an id; null when there is none. */
    public @Nullable Group group(long id) {
      return groups.get(id);
    }

    public Optional<Group> named(String name) {
      return groups.values().stream().filter(g -> g.name().equalsIgnoreCase(name)).findFirst();
    }

    /** Whether {@code id} is {@code above} or stands below it. */
    public boolean within(long id, long above) {
      for (Group g = groups.get(id); g != null; g = groups.get(g.parent()))
        if (g.id() == above) return true;
      return false;
    }

    public Method method(long id) {
      return resolve(id, g -> Optional.ofNullable(g.method()));
    }

    public long stockAccount(long id) {
      return resolve(id, g -> account(g.stockAccount()));
    }

    public long salesAccount(long id) {
      return resolve(id, g -> account(g.salesAccount()));
    }

    public long costAccount(long id) {
      return resolve(id, g -> account(g.costAccount()));
    }

    private static Optional<Long> account(long id) {
      return id == 0 ? Optional.empty() : Optional.of(id);
    }

    private <T> T resolve(long id, Function<Group, Optional<T>> of) {
      for (Group g = groups.get(id); g != null; g = groups.get(g.parent())) {
        Optional<T> value = of.apply(g);
        if (value.isPresent()) return value.get();
      }
      throw new IllegalStateException("the top group leaves something open");
    }
  }

  public Tree tree() {
    return new Tree(
        sql.sql("select * from item_group order by name")
            .query(
                (row, n) ->
                    new Group(
                        row.getLong("id"),
                        row.getLong("parent_id"),
                        row.getString("name"),
                        row.getString("method") == null
                            ? null
                            : Method.valueOf(row.getString("method")),
                        row.getLong("stock_account"),
                        row.getLong("sales_account"),
                        row.getLong("cost_account")))
            .list());
  }

  private static @Nullable String method(Group group) {
    return group.method() == null ? null : group.method().name();
  }

  public long add(Group group) {
    return NewRow.id(
        sql.sql(
                """
            insert into item_group (parent_id, name, method, stock_account, sales_account, cost_account)
            values (nullif(?, 0), ?, ?, nullif(?, 0), nullif(?, 0), nullif(?, 0))
            """)
            .params(group.parent(), group.name())
            .param(method(group))
            .params(group.stockAccount(), group.salesAccount(), group.costAccount()));
  }

  public void change(Group group) {
    sql.sql(
            """
            update item_group set parent_id = nullif(?, 0), name = ?, method = ?,
              stock_account = nullif(?, 0), sales_account = nullif(?, 0),
              cost_account = nullif(?, 0)
            where id = ?
            """)
        .params(group.parent(), group.name())
        .param(method(group))
        .params(group.stockAccount(), group.salesAccount(), group.costAccount(), group.id())
        .update();
  }

  /** Whether any goods of the group itself have moved: then its stock account stays. */
  public boolean moved(long id) {
    return sql.sql(
            """
            select exists (select 1 from item i join cost_pool p on p.item_id = i.id
                           where i.group_id = ?)
            """)
        .param(id)
        .query(Boolean.class)
        .single();
  }
}
