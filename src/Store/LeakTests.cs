using Dapper;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Store;

/// <summary>A leak test that was written down.</summary>
/// <param name="Method">air, water or vacuum.</param>
/// <param name="Verdict">pass or fail.</param>
/// <param name="LeakMlMin">Null where no pressure was read, as for water.</param>
/// <param name="Place">Where it leaked; null for a tight loop or an unknown place.</param>
public sealed record LeakTestRow(
    long Id,
    string Method,
    string Verdict,
    double? LeakMlMin,
    double? LowMlMin,
    double? HighMlMin,
    double? LimitMlMin,
    double? VolumeMl,
    double? DurationS,
    string? Place,
    FigureSource? Source,
    string ByInitials,
    string At
);

public sealed record NewLeakTest(
    string Method,
    string Verdict,
    double? LeakMlMin,
    double? LowMlMin,
    double? HighMlMin,
    double? LimitMlMin,
    double? VolumeMl,
    double? DurationS,
    string? Place,
    string Samples,
    FigureSource Source,
    string By
);

/// <summary>Leak tests of a job; a test that was written down is never changed.</summary>
public sealed class LeakTests(ShopDatabase database, TimeProvider time)
{
    private const string Columns =
        "id, method, verdict, leak_ml_min, low_ml_min, high_ml_min, limit_ml_min, volume_ml, duration_s, place, source, "
        + "by_initials, at";

    public IReadOnlyList<LeakTestRow> All(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<LeakTestRow>(
                $"select {Columns} from leak_test where job_id = @jobId order by id",
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
                        (job_id, method, verdict, leak_ml_min, low_ml_min, high_ml_min, limit_ml_min, volume_ml, duration_s,
                            place, samples, source, by_initials, at)
                    values
                        (@jobId, @Method, @Verdict, @LeakMlMin, @LowMlMin, @HighMlMin, @LimitMlMin, @VolumeMl, @DurationS,
                            @Place, @Samples, @Source, @By, @at)
                    returning id
                    """,
                    new
                    {
                        jobId,
                        test.Method,
                        test.Verdict,
                        test.LeakMlMin,
                        test.LowMlMin,
                        test.HighMlMin,
                        test.LimitMlMin,
                        test.VolumeMl,
                        test.DurationS,
                        test.Place,
                        test.Samples,
                        test.Source,
                        test.By,
                        at = Stamp.Format(time),
                    },
                    t
                )
        );
}
