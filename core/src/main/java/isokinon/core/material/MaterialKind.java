package isokinon.core.material;

import isokinon.core.value.Code;

/** What a material is: kinds are judged by rules of their own. */
public enum MaterialKind implements Code {
  ELASTOMER,
  PLASTIC,
  METAL,
  CERAMIC,
  COATING,
  MAGNET;

  /**
   * Whether it gives out at a threshold: a metal pits or does not, where a polymer ages faster with
   * every degree.
   */
  public boolean thresholds() {
    return this == METAL || this == COATING;
  }
}
