package isokinon.server.db.units;

/**
 * A wear part as it stands in a unit on the shelf.
 *
 * @param unit serial of the unit
 * @param place where in the unit; empty where it stands for all parts of its role
 * @param hours on it
 * @param counts on it of what drives its wear; 0 where nobody counted
 * @param leading whether it is the set that leads the wear of the unit; each unit has one
 */
public record SpareUnitPartRow(
    String unit,
    String role,
    String place,
    String partSerial,
    String material,
    double hours,
    double counts,
    boolean leading) {}
