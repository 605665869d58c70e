package isokinon.server.work.setup;

import isokinon.core.counter.CounterLog.Kind;
import isokinon.core.counter.WearCount;
import isokinon.core.life.history.RunEnd;
import isokinon.core.person.PersonRole;
import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.value.Code;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.FluidUse;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.consumables.ConsumableStock;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.setup.names.KnownNames;
import isokinon.server.work.setup.names.KnownNames.Known;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.SetupTables;
import isokinon.server.work.setup.tables.ShopTable.Standing;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** The names that are known in this shop, for what columns may hold. */
@Component
class KnownHere {

  /** How runs end, with the words that need no explaining. */
  private static final List<Known> RUN_ENDS =
      List.of(
          coded(RunEnd.FAILED, "failure", "f", "yes", "true", "1", "defekt"),
          coded(RunEnd.SOUND, "planned", "ok", "s", "no", "false", "0"),
          coded(RunEnd.RUNNING, "runs", "r"));

  private static final List<Known> COUNTERS =
      List.of(coded(Kind.HOURS, "h", "hour", "run hours"), coded(Kind.STROKES, "stroke", "cycles"));

  private final SetupTables tables;
  private final StoresMapper people;
  private final Sheets sheets;
  private final ShopLibrary library;
  private final ConsumableStock consumables;
  private final Clock clock;

  KnownHere(
      SetupTables tables,
      StoresMapper people,
      Sheets sheets,
      ShopLibrary library,
      ConsumableStock consumables,
      Clock clock) {
    this.tables = tables;
    this.people = people;
    this.sheets = sheets;
    this.library = library;
    this.consumables = consumables;
    this.clock = clock;
  }

  /** All of them, by kind. */
  KnownNames known() {
    KnownNames known = new KnownNames(clock.getZone());
    known.add(
        Names.AREAS,
        tables.of(SetupTable.AREAS).rows().stream()
            .map(s -> named(s.values().get("name"), s.values().get("name")))
            .toList());
    List<Standing> pumps = tables.of(SetupTable.PUMPS).rows();
    known.add(Names.PUMPS, pumps.stream().filter(s -> !s.retired()).map(KnownHere::pump).toList());
    known.add(Names.PUMPS_EVER, pumps.stream().map(KnownHere::pump).toList());
    known.add(Names.SHEETS, sheets.newest().stream().map(s -> named(s.id(), s.title())).toList());
    known.add(
        Names.FLUIDS,
        library.materials().fluids().stream()
            .map(f -> new Known(f.code(), f.name(), f.aliases()))
            .toList());
    known.add(
        Names.MATERIALS,
        library.materials().materials().stream().map(m -> named(m.code(), m.name())).toList());
    known.add(
        Names.PEOPLE,
        people.people().stream()
            .filter(p -> p.worksHere())
            .map(p -> named(p.initials(), p.initials()))
            .toList());
    known.add(
        Names.CONSUMABLES,
        consumables.table().all().stream().map(c -> named(c.id(), c.title())).toList());
    known.add(Names.ROLES, codes(PersonRole.values()));
    known.add(Names.FAMILIES, codes(Family.values()));
    known.add(Names.ABRASION, codes(Abrasion.values()));
    known.add(Names.CONSEQUENCE, codes(Consequence.values()));
    known.add(Names.FLUID_USE, codes(FluidUse.values()));
    known.add(Names.COUNTERS, COUNTERS);
    known.add(Names.WEAR_COUNTS, codes(WearCount.values()));
    known.add(Names.RUN_ENDS, RUN_ENDS);
    known.add(
        Names.WEEKDAYS,
        Arrays.stream(DayOfWeek.values())
            .map(
                d ->
                    new Known(
                        Integer.toString(d.getValue()),
                        d.getDisplayName(TextStyle.FULL, Locale.UK),
                        List.of(d.getDisplayName(TextStyle.SHORT, Locale.UK))))
            .toList());
    return known;
  }

  private static Known pump(Standing pump) {
    String tag = pump.values().get("tag");
    return named(tag, tag + ", " + pump.values().get("title"));
  }

  private static Known named(String code, String name) {
    return new Known(code, name, List.of());
  }

  private static Known coded(Code code, String... aliases) {
    return new Known(code.code(), code.code(), List.of(aliases));
  }

  private static List<Known> codes(Code[] codes) {
    return Arrays.stream(codes).map(c -> coded(c)).toList();
  }
}
