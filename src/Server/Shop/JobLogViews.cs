using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove.Logs;
using FaithfulBracket.Formats.Logs;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A series as it is drawn.</summary>
/// <param name="Values">One for each time; null where the logger had none.</param>
internal sealed record DrawnSeries(Channel Channel, string Name, string Unit, IReadOnlyList<double?> Values);

/// <summary>A log thinned for drawing, without losing its peaks.</summary>
internal sealed record DrawnLog(IReadOnlyList<double> TimesS, IReadOnlyList<DrawnSeries> Series)
{
    /// <summary>Points of each series, about.</summary>
    private const int Points = 1600;

    public static DrawnLog Compute(BenchLog log)
    {
        var thin = LogThinning.Thin(log, Points);
        return new(
            [.. thin.TimesS.Select(t => Math.Round(t, 2))],
            [
                .. thin.Series.Select(s => new DrawnSeries(
                    s.Channel,
                    s.Channel.Name(),
                    s.Channel.Unit(),
                    [.. s.Values.Select(v => double.IsNaN(v) ? (double?)null : Math.Round(v, 2))]
                )),
            ]
        );
    }
}

/// <summary>A kept log: what it says, and its lines.</summary>
internal sealed record JobLogView(JobLogRow Log, LogVerdict Verdict, DrawnLog Drawn);

/// <summary>Logs of a job as they are shown.</summary>
internal sealed class JobLogViews(JobLogs logs, LibraryCache shop)
{
    public (JobLogRow Row, BenchLog Log) Read(long jobId, long logId)
    {
        var (row, content) = logs.Get(jobId, logId);
        try
        {
            return (row, LogPack.Unpack(content));
        }
        catch (InvalidDataException e)
        {
            throw new InputException("", JobLogViewsWords.LogCanNotBeRead(logId, e.Message));
        }
    }

    public JobLogView View(long jobId, long logId, WorkOrder order, CancellationToken cancel)
    {
        var (row, log) = Read(jobId, logId);
        return new(row, Judge(log, order, row.Board, cancel), DrawnLog.Compute(log));
    }

    /// <summary>A log as the shop judges it.</summary>
    /// <param name="board">Key of the board it was taken of; null for the first.</param>
    public LogVerdict Judge(BenchLog log, WorkOrder order, string? board, CancellationToken cancel) =>
        LogReading.Judge(log, DieLimit(order, board), shop.Settings.SettledWithinK, cancel);

    /// <summary>The least limit of the dies on a board; null where none is stated.</summary>
    private static double? DieLimit(WorkOrder order, string? board) =>
        (board is null ? order.First : order.Find(board) ?? order.First)
            .Board.Parts.Where(p => p.Kind is PartKind.Die)
            .Min(p => p.LimitC);
}
