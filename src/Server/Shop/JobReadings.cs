using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Readings of a job, picked out by board.</summary>
internal static class JobReadings
{
    /// <param name="first">Key of the job's first board: a reading without a board is its.</param>
    public static Reading? After(
        IReadOnlyList<ReadingRow> readings,
        string board,
        string first,
        ShopSettings settings
    ) =>
        readings
            .Select(r => JobPlans.Reading(r, settings, LocalTimes.Utc))
            .LastOrDefault(r => r.Phase == Phase.After && (r.Board ?? first) == board);
}
