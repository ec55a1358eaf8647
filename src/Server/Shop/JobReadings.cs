using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Readings of a job, picked out by board.</summary>
internal static class JobReadings
{
    public static Reading? After(
        IReadOnlyList<ReadingRow> readings,
        string board,
        PlannedJob job,
        ShopSettings settings
    ) =>
        readings
            .Select(r => JobPlans.Reading(r, settings, LocalTimes.Utc, job.Sheets, job.Order))
            .LastOrDefault(r => r.Phase == Phase.After && (r.Board ?? job.Order.First.Key) == board);
}
