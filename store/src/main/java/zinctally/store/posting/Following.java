package zinctally.store.posting;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;

/** Tells those who follow a kind of paper that one was posted or voided. */
@Component
class Following {
  private final List<Follower> followers;

  Following(List<Follower> followers) {
    this.followers = followers;
  }

  void posted(Follower.Posted what) {
    of(what.paper().kind()).forEach(f -> f.posted(what));
  }

  void voided(PaperKind kind, long paper) {
    of(kind).forEach(f -> f.voided(paper));
  }

  private Stream<Follower> of(PaperKind kind) {
    return followers.stream().filter(f -> f.follows(kind));
  }
}
