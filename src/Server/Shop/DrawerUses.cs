using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;
using static System.FormattableString;

namespace FaithfulBracket.Server.Shop;

/// <summary>One change of a line of the drawer.</summary>
/// <param name="What">added, counted, changed, used, laid in or taken out.</param>
/// <param name="Change">How much more there was after; null where it has no amount or none was told before.</param>
/// <param name="Left">How much there was after; null where it was taken out.</param>
/// <param name="JobId">The job that it was for; null for none.</param>
internal sealed record DrawerChangeView(
    string Kind,
    string Id,
    string Name,
    string Unit,
    string What,
    double? Change,
    double? Left,
    string? By,
    string At,
    long? JobId
);

/// <summary>What may be booked of one line.</summary>
/// <param name="Amount">What the plan needs of it and nobody booked yet; 0 where the plan cannot tell.</param>
/// <param name="Lies">What lies in the drawer.</param>
internal sealed record UsableLine(string Kind, string Id, string Name, string Unit, double Amount, double Lies);

/// <param name="Lines">Every line that can be booked, what the plan needs first.</param>
internal sealed record JobUse(IReadOnlyList<UsableLine> Lines, IReadOnlyList<DrawerChangeView> Used);

/// <summary>What was taken out of the drawer, when, by whom and for which job.</summary>
internal sealed class DrawerUses(DrawerItems items, JobPlans plans, LibraryCache shop)
{
    /// <summary>The newest first.</summary>
    public IReadOnlyList<DrawerChangeView> History(string kind, string id) =>
        [.. Describe(items.Events(kind, id)).Reverse()];

    /// <exception cref="NotFoundException">No such job, or a document of it is gone.</exception>
    public JobUse OfJob(long id, CancellationToken cancel)
    {
        var job = plans.Get(id, cancel);
        List<DrawerChangeView> used = [.. Describe(items.EventsOfJob(id)).Where(e => e.JobId == id)];
        var wanted = DrawerUse
            .Compute(job.Plan.Kit, shop.Drawer, job.Row.PasteId)
            .ToDictionary(
                t => (t.Kind, t.Id),
                t =>
                    Math.Max(
                        0,
                        Math.Round(
                            t.Amount + used.Where(u => (u.Kind, u.Id) == (t.Kind, t.Id)).Sum(u => u.Change ?? 0),
                            2
                        )
                    )
            );
        return new(
            [
                .. DrawerLine
                    .All(shop.StatedDrawer)
                    .Where(l => l.Amount is not null)
                    .Select(l => new UsableLine(
                        l.Kind,
                        l.Id,
                        l.Name,
                        l.Unit,
                        wanted.GetValueOrDefault((l.Kind, l.Id)),
                        l.Amount!.Value
                    ))
                    .OrderByDescending(l => l.Amount > 0)
                    .ThenBy(l => l.Kind, StringComparer.Ordinal)
                    .ThenBy(l => l.Name, StringComparer.Ordinal),
            ],
            used
        );
    }

    /// <summary>Takes amounts out of the drawer for a job, all or none.</summary>
    /// <exception cref="InputException">A line is not there, or holds less.</exception>
    public void Book(long jobId, IReadOnlyList<DrawerTake> takes, string by, CancellationToken cancel)
    {
        plans.Get(jobId, cancel);
        var faults = new List<InputFault>();
        var rows = items.All();
        var changes = new List<DrawerChange>();
        for (var i = 0; i < takes.Count; i++)
        {
            var take = takes[i];
            var row = rows.FirstOrDefault(r => r.Kind == take.Kind && r.Id == take.Id);
            if (DrawerLine.Read(take.Kind, take.Id, row?.Content) is not { Amount: { } lies } line)
                faults.Add(new($"/lines/{i}/id", DrawerUsesWords.DrawerHasNoThatIsCounted(take.Kind, take.Id)));
            else if (take.Amount > lies)
                faults.Add(
                    new($"/lines/{i}/amount", Invariant($"{line.Name}: {lies:0.##} lie there, not {take.Amount:0.##}."))
                );
            else if (line.Unit.Length == 0 && take.Amount != Math.Floor(take.Amount))
                faults.Add(new($"/lines/{i}/amount", DrawerUsesWords.CountedInWholeOnes(line.Name)));
            else
                changes.Add(
                    new(
                        take.Kind,
                        take.Id,
                        JsonSerializer.Serialize(
                            DrawerLine.WithAmount(take.Kind, row!.Content, Math.Round(lies - take.Amount, 3)),
                            DocumentJson.Options
                        ),
                        row.Version
                    )
                );
        }
        if (takes.Select(t => (t.Kind, t.Id)).Distinct().Count() != takes.Count)
            faults.Add(new("/lines", "Every line once."));
        if (faults.Count > 0)
            throw new InputException(faults);
        items.PutTogether(changes, by, jobId);
    }

    private static IEnumerable<DrawerChangeView> Describe(IReadOnlyList<DrawerEvent> events)
    {
        var before = new Dictionary<(string, string), string?>();
        foreach (var e in events)
        {
            var key = (e.Kind, e.ItemId);
            var had = before.GetValueOrDefault(key);
            before[key] = e.Content;
            var was = DrawerLine.Read(e.Kind, e.ItemId, had);
            var now = DrawerLine.Read(e.Kind, e.ItemId, e.Content);
            // what is gone was taken whole
            var change =
                now is null ? -was?.Amount
                : was is null && e.JobId is null ? null
                : now.Amount - (was?.Amount ?? 0);
            var line = now ?? was;
            yield return new(
                e.Kind,
                e.ItemId,
                line?.Name ?? e.ItemId,
                line?.Unit ?? "",
                What(e, had, was, now, change),
                change is null ? null : Math.Round(change.Value, 3),
                now?.Amount,
                e.By,
                e.At,
                e.JobId
            );
        }
    }

    private static string What(DrawerEvent e, string? had, DrawerLine? was, DrawerLine? now, double? change)
    {
        if (e.JobId is not null)
            return change > 0 ? "laid in" : "used";
        if (now is null)
            return "taken out";
        if (was is null)
            return "added";
        // counted is what differs in its amount alone
        return
            now.Amount is { } amount
            && JsonSerializer.Serialize(DrawerLine.WithAmount(e.Kind, had!, amount), DocumentJson.Options) == e.Content
            ? "counted"
            : "changed";
    }
}
