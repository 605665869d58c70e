package isokinon.server.db.shop;

import org.apache.ibatis.annotations.Select;

/** Rows that are locked by whoever writes what must not be written at once. */
public interface TurnMapper {

  /** Locks the row of this name until the transaction ends. */
  @Select("select name from turn where name = #{name} for update")
  String take(String name);
}
