using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>When a job is due again, by its proofs and its paste.</summary>
internal sealed class JobCare(JobPlans plans, JobEntries papers, LibraryCache shop, LocalTimes times)
{
    /// <summary>Names a job in calendars for ever.</summary>
    public static string Uid(JobRow row, string? board = null) =>
        $"job-{row.Id}-{Day(row.OpenedAt):yyyyMMdd}{(board is null ? "" : $"-{board}")}@faithful-bracket";

    /// <param name="board">Key of the board; null for the first.</param>
    /// <exception cref="InputException">The order has no such board.</exception>
    public CareDates Compute(long id, string? board, CancellationToken cancel)
    {
        var job = plans.Get(id, cancel);
        var piece = board is null
            ? job.Order.First
            : job.Order.Find(board) ?? throw new InputException("?board", MissingWords.OrderHasNoBoard(board));
        var pair = job.Order.Pairs.FirstOrDefault(p => p.BoardKeys(job.Order).Contains(piece.Key));
        return CareDates.Compute(
            [
                .. papers
                    .Readings(id)
                    .Where(r => (r.Board ?? job.Order.First.Key) == piece.Key)
                    .Select(r => JobPlans.Reading(r, shop.Settings, times, job.Sheets, job.Order)),
            ],
            pair?.Block.Flow,
            job.Plan.Care.RepasteMonths,
            times.Date(job.Row.OpenedAt),
            shop.Settings.DriftLimitShare
        );
    }

    private static DateOnly Day(string at) =>
        DateOnly.FromDateTime(
            DateTimeOffset.Parse(at, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal).UtcDateTime
        );
}
