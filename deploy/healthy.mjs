// Ends with 0 where the server answers that it is well: for a container's or a supervisor's health check.
const answer = await fetch(`http://127.0.0.1:${process.env.PORT || 4180}/api/health`).catch(() => null);
process.exit(answer?.ok ? 0 : 1);
