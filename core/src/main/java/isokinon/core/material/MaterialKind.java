package isokinon.core.material;

import isokinon.core.value.Code;

/** What a material is: kinds are judged by rules of their own. */
public enum MaterialKind implements Code {
  ELASTOMER,
  PLASTIC,
  METAL,
  CERAMIC,
  COATING,
  MAGNET
}
