package isokinon.server.db;

/** How often something was confirmed. */
public record CountRow(String id, int times) {}
