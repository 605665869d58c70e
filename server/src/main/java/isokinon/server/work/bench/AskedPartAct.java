package isokinon.server.work.bench;

import isokinon.core.act.Act;
import isokinon.core.act.PartAct;
import isokinon.core.sheet.Part;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;

/** What is found of parts and what goes in for them, as a screen asks for it. */
public sealed interface AskedPartAct extends AskedAct {

  /**
   * A part is measured.
   *
   * @param part id
   * @param measurement what was read of it
   */
  record Measured(@NotNull @Identifier String part, @NotNull @Valid TypedMeasurement measurement)
      implements AskedPartAct {
    @Override
    public Act read(ActReader reader) {
      return new PartAct.Measured(part, reader.measurement(part, measurement));
    }
  }

  /**
   * A part is judged, with what was read of it.
   *
   * @param part id
   * @param verdict sound, watch or renew
   * @param measurements readings that are kept with it
   * @param signs signatures of wear that were seen, ids
   * @param because the reason
   */
  record Judged(
      @NotNull @Identifier String part,
      @NotNull Part.Verdict verdict,
      @Size(max = 40) List<@NotNull @Valid TypedMeasurement> measurements,
      @Size(max = 200) List<@NotNull @Identifier String> signs,
      @Size(max = MOST_TEXT) String because)
      implements AskedPartAct {
    @Override
    public Act read(ActReader reader) {
      return new PartAct.Judged(
          part,
          verdict,
          AskedAct.list(measurements).stream().map(m -> reader.measurement(part, m)).toList(),
          AskedAct.list(signs),
          AskedAct.text(because));
    }
  }

  /**
   * Why a part wore.
   *
   * @param part id
   * @param cause id; left out where it is not known
   * @param counters what is done about it, ids
   * @param note where it came from, in words
   */
  record CauseFound(
      @NotNull @Identifier String part,
      @Identifier String cause,
      @Size(max = 200) List<@NotNull @Identifier String> counters,
      @Size(max = MOST_TEXT) String note)
      implements AskedPartAct {
    @Override
    public Act read(ActReader reader) {
      return new PartAct.CauseFound(
          part, AskedAct.id(cause), AskedAct.list(counters), AskedAct.text(note));
    }
  }

  /**
   * The material of a role is chosen.
   *
   * @param role role of parts that are renewed
   * @param material ISO code or alloy
   * @param because why this one
   */
  record MaterialChosen(
      @NotNull @Identifier String role,
      @NotNull @Identifier String material,
      @Size(max = MOST_TEXT) String because)
      implements AskedPartAct {
    @Override
    public Act read(ActReader reader) {
      return new PartAct.MaterialChosen(role, material, AskedAct.text(because));
    }
  }

  /**
   * A lot is booked, and the materials that it brings are chosen.
   *
   * @param lot lot id; "single" for parts that come in no kit
   * @param parts parts that are renewed from it, ids
   * @param materials material by role, of the roles that the lot decides
   * @param note what the inspection of an aged lot showed, or the number on the bag of single parts
   */
  record KitFitted(
      @NotNull @Identifier String lot,
      @Size(max = 200) List<@NotNull @Identifier String> parts,
      @Size(max = 40) Map<@Identifier String, @NotNull @Identifier String> materials,
      @Size(max = MOST_TEXT) String note)
      implements AskedPartAct {
    @Override
    public Act read(ActReader reader) {
      return new PartAct.KitFitted(
          lot, AskedAct.list(parts), materials == null ? Map.of() : materials, AskedAct.text(note));
    }
  }
}
