/** How the records of many practices lie in Parquet files: a folder of people and one of events, each by practice and by part. */
@NullMarked
package dipstick.region.records;

import org.jspecify.annotations.NullMarked;
