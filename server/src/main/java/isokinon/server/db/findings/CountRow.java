package isokinon.server.db.findings;

/** How often something was confirmed. */
public record CountRow(String id, int times) {}
