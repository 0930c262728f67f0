package dev.lonja.web.sign;

import dev.lonja.core.person.PersonId;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Who is signed in now, and where. A server that starts anew knows of nobody. */
@Component
public class LiveSessions {

  private final Map<String, Live> byId = new ConcurrentHashMap<>();

  /**
   * One session.
   *
   * @param id by which the server knows it; whoever has it is signed in, so it stands on no page
   * @param handle by which pages name it
   * @param device what the browser calls itself
   */
  public record Live(
      String id,
      String handle,
      PersonId person,
      Instant began,
      Instant seen,
      String address,
      String device) {}

  void begin(Live live) {
    byId.put(live.id(), live);
  }

  Optional<Live> of(String id) {
    return Optional.ofNullable(byId.get(id));
  }

  /** Somebody is there at this time. */
  void seen(String id, Instant at) {
    byId.computeIfPresent(
        id,
        (same, live) ->
            new Live(
                id, live.handle(), live.person(), live.began(), at, live.address(), live.device()));
  }

  /** Ends a session; its next request finds it gone. */
  public void end(String id) {
    byId.remove(id);
  }

  /** The sessions of a person, the latest seen first. */
  public List<Live> of(PersonId person) {
    return byId.values().stream()
        .filter(live -> live.person().equals(person))
        .sorted(Comparator.comparing(Live::seen).reversed())
        .toList();
  }
}
