using Dapper;

namespace FaithfulBracket.Store;

/// <summary>A leak test that was written down.</summary>
/// <param name="Place">Where it leaked; null for a tight loop or an unknown place.</param>
public sealed record LeakTestRow(
    long Id,
    string Verdict,
    double LeakMlMin,
    double LowMlMin,
    double HighMlMin,
    double LimitMlMin,
    double VolumeMl,
    double DurationS,
    string? Place,
    string ByInitials,
    string At
);

public sealed record NewLeakTest(
    string Verdict,
    double LeakMlMin,
    double LowMlMin,
    double HighMlMin,
    double LimitMlMin,
    double VolumeMl,
    double DurationS,
    string? Place,
    string Samples,
    string By
);

/// <summary>Leak tests of a job; a test that was written down is never changed.</summary>
public sealed class LeakTests(ShopDatabase database, TimeProvider time)
{
    public IReadOnlyList<LeakTestRow> All(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<LeakTestRow>(
                """
                select id, verdict, leak_ml_min, low_ml_min, high_ml_min, limit_ml_min, volume_ml, duration_s, place, by_initials, at
                from leak_test where job_id = @jobId order by id
                """,
                new { jobId }
            ),
        ];
    }

    public long Add(long jobId, NewLeakTest test) =>
        database.Change(
            (c, t) =>
                c.ExecuteScalar<long>(
                    """
                    insert into leak_test
                        (job_id, verdict, leak_ml_min, low_ml_min, high_ml_min, limit_ml_min, volume_ml, duration_s, place, samples, by_initials, at)
                    values
                        (@jobId, @Verdict, @LeakMlMin, @LowMlMin, @HighMlMin, @LimitMlMin, @VolumeMl, @DurationS, @Place, @Samples, @By, @at)
                    returning id
                    """,
                    new
                    {
                        jobId,
                        test.Verdict,
                        test.LeakMlMin,
                        test.LowMlMin,
                        test.HighMlMin,
                        test.LimitMlMin,
                        test.VolumeMl,
                        test.DurationS,
                        test.Place,
                        test.Samples,
                        test.By,
                        at = Stamp.Of(time),
                    },
                    t
                )
        );
}
