package zinctally.core.ledger;

/** An account of the ledger. */
public record Account(
    long id, String code, String name, AccountKind kind, Role role, boolean active) {
  public String label() {
    return code + " " + name;
  }
}
