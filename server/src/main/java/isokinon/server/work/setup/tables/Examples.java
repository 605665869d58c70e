package isokinon.server.work.setup.tables;

import java.util.HashMap;
import java.util.Map;

/** One example row a table, of the made-up mill: it can be brought as it stands into the demo. */
public final class Examples {

  private static final Map<SetupTable, String> ROWS =
      Map.ofEntries(
          Map.entry(SetupTable.AREAS, "name=Effluent,position=3"),
          Map.entry(
              SetupTable.PUMPS,
              "tag=EFF-40,area=Effluent,sheet=aodd-bolted-plastic-25,serial=DP25-0940,"
                  + "title=Effluent sludge,hours_per_day=16,material=TPC-ET,age_hours=900,"
                  + "interval_hours=2500,fluid=water,concentration_pct=100,temperature_c=34,"
                  + "body=PP,counter_hours=12400,read_on=2026-03-16,consequence=normal,"
                  + "stop_cost=380,abrasion=light,suction_m=1.2,series=DP25 plastic"),
          Map.entry(
              SetupTable.UNITS,
              "serial=DP25-0961,sheet=aodd-bolted-plastic-25,place=R3,material=TPC-ET,age_hours=0,"
                  + "body=PP,hardware=full-stroke"),
          Map.entry(
              SetupTable.DUTIES,
              "pump=SCR-05,position=1,fluid=water,concentration_pct=100,temperature_c=65,"
                  + "usual_c=60,share=1,kind=process"),
          Map.entry(
              SetupTable.FITTED_PARTS,
              "pump=SCR-01,role=shaft-seal,material=PTFE-CD25,fitted_on=2026-01-12,age_hours=860"),
          Map.entry(
              SetupTable.ENERGIES,
              "pump=SCR-01,hazard=mains,place=isolator QS01 at the bowl stairs"),
          Map.entry(SetupTable.PAIRS, "pump=EFF-02,line=Effluent press,pair=EFF-04"),
          Map.entry(
              SetupTable.WRENCHES,
              "wrench=W-09,min_nm=5,max_nm=25,calibrated_until=2027-01-31,clicks=no"),
          Map.entry(
              SetupTable.RUNS,
              "tag=EFF-02,role=diaphragm,material=EPDM,fitted_on=2019-03-04,ended_on=2019-09-02,"
                  + "hours=1810.5,ended=failed,cause=Hole at the flexing ring"),
          Map.entry(
              SetupTable.COUNTERS,
              "tag=EFF-02,counter=strokes,at=2026-03-16 18:00,reading=1200000"),
          Map.entry(
              SetupTable.GAUGES,
              "gauge=CA-09,kind=calliper,title=Calliper,unit=mm,resolution=0.01,uncertainty=0.02,"
                  + "calibrated_until=2027-01-31"),
          Map.entry(
              SetupTable.KITS,
              "sheet=aodd-bolted-plastic-25,kit=wet-kit,material=EPDM,hardware=full-stroke,"
                  + "parts=ball=EPDM;seat=body;o-ring=EPDM,price=118,lead_days=5"),
          Map.entry(
              SetupTable.OFFERS,
              "sheet=aodd-bolted-metal-40,id=part:outlet-manifold,price=228.5,lead_days=9"),
          Map.entry(
              SetupTable.CONSUMABLE_OFFERS, "consumable=silicone-grease,price=9.5,lead_days=2"),
          Map.entry(
              SetupTable.LOTS,
              "lot=L-0500,sheet=aodd-bolted-plastic-25,kit=wet-kit,material=EPDM,"
                  + "cured=2026-01-12,quantity=2,price=118,place=B4,hardware=full-stroke"),
          Map.entry(SetupTable.PEOPLE, "initials=JB,role=technician,licensed_electrical=no"),
          Map.entry(SetupTable.SHIFTS, "who=RT,weekday=1,from=06:00,to=14:00,overtime=no"),
          Map.entry(SetupTable.HOLIDAYS, "day=2026-12-25,title=Christmas"),
          Map.entry(
              SetupTable.FIXTURES,
              "fixture=stator-rack,title=Stator rack with winch,pieces=1,"
                  + "families=progressing-cavity"),
          Map.entry(
              SetupTable.LINE_STOPS,
              "line=Effluent press,title=Press cloth change,starts=2026-12-01 06:00,"
                  + "ends=2026-12-01 14:00"));

  private Examples() {}

  /** What the example row of a table has in a column. */
  public static String of(SetupTable table, SetupColumn column) {
    Map<String, String> row = new HashMap<>();
    for (String field : ROWS.get(table).split(",")) {
      int at = field.indexOf('=');
      row.put(field.substring(0, at), field.substring(at + 1));
    }
    return row.getOrDefault(column.id(), "");
  }
}
