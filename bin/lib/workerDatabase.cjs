// each worker of jest has a database of its own: DATABASE_URL names the first part of their names
if (process.env.DATABASE_URL) process.env.DATABASE_URL += `_${process.env.JEST_WORKER_ID}`;
