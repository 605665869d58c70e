package isokinon.core.plan.order;

import java.util.Arrays;

/** A growing map from pairs of {@code long} to dense indexes, by linear probing. */
final class PairTable {

  private long[] high = new long[256];
  private long[] low = new long[256];
  private int[] indexes = new int[256];
  private int size;

  PairTable() {
    Arrays.fill(indexes, -1);
  }

  int size() {
    return size;
  }

  /** The index of the pair, given a new one where it is not there yet. */
  int indexOf(long keyHigh, long keyLow) {
    int slot = slot(keyHigh, keyLow);
    if (indexes[slot] < 0) {
      if (size * 2 >= indexes.length) {
        grow();
        slot = slot(keyHigh, keyLow);
      }
      high[slot] = keyHigh;
      low[slot] = keyLow;
      indexes[slot] = size++;
    }
    return indexes[slot];
  }

  private int slot(long keyHigh, long keyLow) {
    long mixed = (keyLow * 0x9E3779B97F4A7C15L ^ keyHigh) * 0xC2B2AE3D27D4EB4FL;
    int slot = (int) (mixed >>> 40) & (indexes.length - 1);
    while (indexes[slot] >= 0 && (low[slot] != keyLow || high[slot] != keyHigh)) {
      slot = (slot + 1) & (indexes.length - 1);
    }
    return slot;
  }

  private void grow() {
    long[] oldHigh = high;
    long[] oldLow = low;
    int[] oldIndexes = indexes;
    high = new long[oldHigh.length * 2];
    low = new long[high.length];
    indexes = new int[high.length];
    Arrays.fill(indexes, -1);
    for (int i = 0; i < oldIndexes.length; i++) {
      if (oldIndexes[i] >= 0) {
        int slot = slot(oldHigh[i], oldLow[i]);
        high[slot] = oldHigh[i];
        low[slot] = oldLow[i];
        indexes[slot] = oldIndexes[i];
      }
    }
  }
}
