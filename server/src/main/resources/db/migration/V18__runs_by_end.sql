-- The floor asks for the runs of the last days: found by their end, not by reading every run.
create index run_by_end on run (ended_on);
