package dev.lonja.desk.item;

import dev.lonja.core.item.ItemId;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.item.KeepingRepository.Picture;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Pictures of items: PNG or JPEG, told by their first bytes and not by what they are called. */
@Service
@Allowed.ToSeeMachines
public class PictureDesk {

  /** The largest file that is taken; what is kept of it is far smaller. */
  public static final int MOST_BYTES = 8 << 20;

  private final LonjaStore store;
  private final OnceOnly once;

  public PictureDesk(LonjaStore store, OnceOnly once) {
    this.store = store;
    this.once = once;
  }

  /** Why a picture was not taken. */
  public sealed interface Refused extends Refusal {}

  /** It cannot be read as a PNG or JPEG, or has too many dots. */
  public record NoPicture() implements Refused {}

  /** It has more than {@link #MOST_BYTES}. */
  public record TooLarge(int bytes) implements Refused {}

  public Optional<Picture> of(ItemId itemId) {
    return store.read(session -> session.keeping().picture(itemId));
  }

  /** Puts a picture in place of the one that was; an empty file takes it away. */
  @Allowed.ToKeepStore
  public Outcome put(Sent sent, ItemId itemId, byte[] content) {
    return once.run(sent, session -> put(session, itemId, content));
  }

  private static Outcome put(Session session, ItemId itemId, byte[] content) {
    if (content.length == 0) {
      session.keeping().dropPicture(itemId);
      return Outcome.done();
    }
    if (content.length > MOST_BYTES) {
      return Outcome.refused(new TooLarge(content.length));
    }
    Optional<Picture> picture = PictureMaker.anew(content);
    if (picture.isEmpty()) {
      return Outcome.refused(new NoPicture());
    }
    session.keeping().setPicture(itemId, picture.get());
    return Outcome.done();
  }
}
