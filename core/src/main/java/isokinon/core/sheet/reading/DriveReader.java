package isokinon.core.sheet.reading;

import isokinon.core.cavity.RotorFit;
import isokinon.core.magnetic.Coupling;
import isokinon.core.magnetic.MagnetMargin;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads what a sheet says of a coupling or a stator, which the measurements compute with. */
final class DriveReader {

  private DriveReader() {}

  /** A magnetic drive's coupling. */
  static Coupling coupling(Fields f) {
    String magnet = f.required("magnet");
    Optional<MagnetMargin.Magnet> material =
        Stream.of(MagnetMargin.Magnet.values())
            .filter(m -> m.name().equalsIgnoreCase(magnet))
            .findFirst();
    if (material.isEmpty()) {
      f.fault("magnet", "\"" + magnet + "\" is neither ndfeb nor smco");
    }
    return new Coupling(
        material.orElse(MagnetMargin.Magnet.NDFEB),
        needed(f, "ratedNm", 1e-3, 1e6),
        needed(f, "mostC", -50, 400),
        needed(f, "flowM3h", 1e-4, 1e5),
        needed(f, "headM", 1e-2, 1e4),
        needed(f, "efficiency", 0.001, 1),
        needed(f, "rpm", 1, 1e5),
        needed(f, "motorPeakNm", 1e-3, 1e6),
        needed(f, "loadInertia", 0, 1e4),
        needed(f, "motorInertia", 1e-9, 1e4));
  }

  static double needed(Fields f, String key, double least, double most) {
    f.required(key);
    return f.number(key, 0, least, most);
  }

  /** A progressing cavity pump's stator: sizes in millimetres, the bore at 20 degC. */
  static RotorFit.Stator stator(Fields f) {
    List<Double> classes = new ArrayList<>();
    for (String word : f.words("rotorClassesMm")) {
      try {
        classes.add(Double.valueOf(word));
      } catch (NumberFormatException e) {
        f.fault("rotorClassesMm", "\"" + word + "\" is not a number");
      }
    }
    RotorFit.Stator stator =
        new RotorFit.Stator(
            needed(f, "boreRadiusMm", 0.1, 2000),
            needed(f, "tubeRadiusMm", 0.1, 2000),
            needed(f, "rotorDiameterMm", 0.1, 4000),
            List.copyOf(classes),
            needed(f, "leastInterferenceMm", -10, 10),
            needed(f, "mostInterferenceMm", -10, 10),
            f.optionalNumber("eccentricityMm"),
            f.optionalNumber("pitchMm"));
    if (stator.tubeRadiusMm() <= stator.boreRadiusMm()) {
      f.fault("tubeRadiusMm", "the tube must be wider than the bore");
    }
    if (stator.mostMm() < stator.leastMm()) {
      f.fault("mostInterferenceMm", "the most interference is under the least");
    }
    return stator;
  }
}
