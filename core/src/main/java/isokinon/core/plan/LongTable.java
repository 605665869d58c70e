package isokinon.core.plan;

import java.util.Arrays;

/** A growing map from {@code long} keys to dense indexes, by linear probing. */
final class LongTable {

  private long[] keys = new long[256];
  private int[] indexes = new int[256];
  private int size;

  LongTable() {
    Arrays.fill(indexes, -1);
  }

  int size() {
    return size;
  }

  /** The index of {@code key}, given a new one where it is not there yet. */
  int indexOf(long key) {
    int slot = slot(key);
    if (indexes[slot] < 0) {
      if (size * 2 >= keys.length) {
        grow();
        slot = slot(key);
      }
      keys[slot] = key;
      indexes[slot] = size++;
    }
    return indexes[slot];
  }

  private int slot(long key) {
    long mixed = key * 0x9E3779B97F4A7C15L;
    int slot = (int) (mixed >>> 40) & (keys.length - 1);
    while (indexes[slot] >= 0 && keys[slot] != key) {
      slot = (slot + 1) & (keys.length - 1);
    }
    return slot;
  }

  private void grow() {
    long[] oldKeys = keys;
    int[] oldIndexes = indexes;
    keys = new long[oldKeys.length * 2];
    indexes = new int[keys.length];
    Arrays.fill(indexes, -1);
    for (int i = 0; i < oldKeys.length; i++) {
      if (oldIndexes[i] >= 0) {
        int slot = slot(oldKeys[i]);
        keys[slot] = oldKeys[i];
        indexes[slot] = oldIndexes[i];
      }
    }
  }
}
