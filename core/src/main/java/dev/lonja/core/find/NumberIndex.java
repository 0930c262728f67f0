package dev.lonja.core.find;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartKey;
import java.util.List;

/**
 * All numbers that are known, to be looked up by key. Each answer is in order of key, then make.
 */
public interface NumberIndex {

  /** The parts of this key. */
  List<Part> byKey(PartKey key, int most);

  /** The parts whose key begins with this one. */
  List<Part> byKeyPrefix(PartKey prefix, int most);

  /** The parts whose near key is that of this key. */
  List<Part> byNearKey(PartKey key, int most);

  /**
   * The parts whose key is one edit away from this one, a swap of neighbours counting as one edit.
   *
   * @param leastLength shorter keys than this are left out
   */
  List<Part> oneEditFrom(PartKey key, int leastLength, int most);
}
