package zinctally.store.ledger;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.CentreTree;
import zinctally.store.NotKept;

/** The book's cost centres, and what usually is borne by which. */
@Repository
public class CentreStore {
  private static final int LONGEST = 80;
  private final JdbcClient sql;

  CentreStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** What has a usual cost centre. */
  public enum Of {
    PLACE("Places", "place", "name"),
    GROUP("Groups of items", "item_group", "name"),
    PERSON("People", "app_user", "login");

    private final String words;
    private final String table;
    private final String name;

    Of(String words, String table, String name) {
      this.words = words;
      this.table = table;
      this.name = name;
    }

    public String words() {
      return words;
    }
  }

  /**
   * @param centre zero for none
   */
  public record Usual(long id, String name, long centre) {}

  /** All, by name. */
  public CentreTree tree() {
    return new CentreTree(
        sql.sql("select id, name, coalesce(parent_id, 0), active from centre order by name")
            .query(
                (row, n) ->
                    new CentreTree.Node(
                        new Centre(row.getLong(1), row.getString(2)),
                        row.getLong(3),
                        row.getBoolean(4)))
            .list());
  }

  /** Names of those that papers can name and that begin with, then hold, what was typed. */
  public List<String> named(String typed, int atMost) {
    return sql.sql(
            """
            select name from centre where active and locate(:typed, name) > 0
            order by locate(:typed, name), name limit :most
            """)
        .param("typed", typed)
        .param("most", atMost)
        .query(String.class)
        .list();
  }

  /** The cost centre that stands in the head of what a person begins; empty for none. */
  public Optional<String> ofPerson(String login) {
    return sql.sql(
            "select c.name from app_user u join centre c on c.id = u.centre_id and c.active"
                + " where u.login = ?")
        .param(login)
        .query(String.class)
        .optional();
  }

  /** What usually is borne by which. */
  public Map<Of, List<Usual>> usual() {
    Map<Of, List<Usual>> usual = new HashMap<>();
    for (Of of : Of.values())
      usual.put(
          of,
          sql.sql(
                  "select id, "
                      + of.name
                      + ", coalesce(centre_id, 0) from "
                      + of.table
                      + (of == Of.PLACE ? " where at_id is null and kind in ('STORE', 'VAN')" : "")
                      + " order by 2")
              .query((row, n) -> new Usual(row.getLong(1), row.getString(2), row.getLong(3)))
              .list());
    return usual;
  }

  /**
   * @param centre zero for none
   */
  public void usual(Of of, long id, long centre) {
    sql.sql("update " + of.table + " set centre_id = nullif(?, 0) where id = ?")
        .params(centre, id)
        .update();
  }

  /**
   * Makes a cost centre (id zero) or changes one. The caller holds the book alone.
   *
   * @throws NotKept when its name is taken, or it would stand under itself
   */
  public void save(CentreTree.Node node) {
    Centre centre = node.centre();
    if (centre.name().isBlank() || centre.name().length() > LONGEST)
      throw new NotKept("A cost centre needs a name of at most " + LONGEST + " letters.");
    CentreTree tree = tree();
    if (tree.nodes().stream()
        .anyMatch(
            n ->
                n.centre().id() != centre.id()
                    && n.centre().name().equalsIgnoreCase(centre.name())))
      throw new NotKept("There is a cost centre called " + centre.name() + " already.");
    if (node.parent() != CentreTree.TOP && tree.node(node.parent()).isEmpty())
      throw new NotKept("The cost centre it should stand under is not there.");
    if (centre.id() != 0 && tree.within(centre.id()).contains(node.parent()))
      throw new NotKept(centre.name() + " cannot stand under itself.");
    if (centre.id() == 0)
      sql.sql("insert into centre (name, parent_id) values (?, nullif(?, 0))")
          .params(centre.name(), node.parent())
          .update();
    else
      sql.sql("update centre set name = ?, parent_id = nullif(?, 0), active = ? where id = ?")
          .params(centre.name(), node.parent(), node.active(), centre.id())
          .update();
  }
}
