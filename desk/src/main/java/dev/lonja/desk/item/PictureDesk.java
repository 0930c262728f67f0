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
import java.util.Arrays;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Pictures of items: PNG or JPEG, told by their first bytes and not by what they are called. */
@Service
@Allowed.ToSeeMachines
public class PictureDesk {

  /** The largest picture that is kept. */
  public static final int MOST_BYTES = 524_288;

  private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', 0x0d, 0x0a, 0x1a, 0x0a};
  private static final byte[] JPEG = {(byte) 0xff, (byte) 0xd8, (byte) 0xff};

  private final LonjaStore store;
  private final OnceOnly once;

  public PictureDesk(LonjaStore store, OnceOnly once) {
    this.store = store;
    this.once = once;
  }

  /** Why a picture was not taken. */
  public sealed interface Refused extends Refusal {}

  /** Its first bytes are those of no picture that browsers show. */
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
    Optional<String> type = mediaType(content);
    if (type.isEmpty()) {
      return Outcome.refused(new NoPicture());
    }
    if (content.length > MOST_BYTES) {
      return Outcome.refused(new TooLarge(content.length));
    }
    session.keeping().setPicture(itemId, new Picture(type.get(), content));
    return Outcome.done();
  }

  private static Optional<String> mediaType(byte[] content) {
    if (startsWith(content, PNG)) {
      return Optional.of("image/png");
    }
    return startsWith(content, JPEG) ? Optional.of("image/jpeg") : Optional.empty();
  }

  private static boolean startsWith(byte[] content, byte[] mark) {
    return content.length >= mark.length
        && Arrays.equals(content, 0, mark.length, mark, 0, mark.length);
  }
}
