using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;
using static System.FormattableString;

namespace FaithfulBracket.Server.Shop;

/// <summary>One change of a line of the drawer.</summary>
/// <param name="What">added, counted, changed, used, laid in or taken out.</param>
/// <param name="Change">How much more there was after; null where it has no amount or none was told before.</param>
/// <param name="Left">How much there was after; null where it was taken out.</param>
/// <param name="JobId">The job that it was for; null for none.</param>
internal sealed record DrawerChangeTold(
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
internal sealed record JobUse(IReadOnlyList<UsableLine> Lines, IReadOnlyList<DrawerChangeTold> Used);

/// <summary>What was taken out of the drawer, when, by whom and for which job.</summary>
internal sealed class DrawerUses(DrawerItems items, JobPlans plans, ShopMemory shop)
{
    /// <summary>The newest first.</summary>
    public IReadOnlyList<DrawerChangeTold> History(string kind, string id) =>
        [.. Told(items.Events(kind, id)).Reverse()];

    /// <exception cref="NotHereException">No such job, or a document of it is gone.</exception>
    public JobUse OfJob(long id, CancellationToken cancel)
    {
        var job = plans.Of(id, cancel);
        List<DrawerChangeTold> used = [.. Told(items.EventsOfJob(id)).Where(e => e.JobId == id)];
        var wanted = DrawerUse
            .Of(job.Plan.Kit, shop.Drawer, job.Row.PasteId)
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
                .. items
                    .All()
                    .Select(r => (Row: r, Item: JsonNode.Parse(r.Content)!))
                    .Where(x => AmountField(x.Row.Kind) is not null)
                    .Select(x => new UsableLine(
                        x.Row.Kind,
                        x.Row.Id,
                        Name(x.Row.Kind, x.Item),
                        Unit(x.Row.Kind, x.Item),
                        wanted.GetValueOrDefault((x.Row.Kind, x.Row.Id)),
                        Amount(x.Row.Kind, x.Item) ?? 0
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
        plans.Of(jobId, cancel);
        var faults = new List<InputFault>();
        var rows = items.All();
        var changes = new List<DrawerChange>();
        for (var i = 0; i < takes.Count; i++)
        {
            var take = takes[i];
            var row = rows.FirstOrDefault(r => r.Kind == take.Kind && r.Id == take.Id);
            if (row is null || AmountField(take.Kind) is not { } field)
            {
                faults.Add(new($"/lines/{i}/id", $"The drawer has no {take.Kind} \"{take.Id}\" that is counted."));
                continue;
            }
            var item = JsonNode.Parse(row.Content)!;
            var lies = Amount(take.Kind, item) ?? 0;
            if (take.Amount > lies)
                faults.Add(
                    new(
                        $"/lines/{i}/amount",
                        Invariant($"{Name(take.Kind, item)}: {lies:0.##} lie there, not {take.Amount:0.##}.")
                    )
                );
            else if (Unit(take.Kind, item).Length == 0 && take.Amount != Math.Floor(take.Amount))
                faults.Add(new($"/lines/{i}/amount", $"{Name(take.Kind, item)}: counted in whole ones."));
            else
            {
                var left = Math.Round(lies - take.Amount, 3);
                item[field] = field == "count" ? (int)left : left;
                changes.Add(new(take.Kind, take.Id, item.ToJsonString(), row.Version));
            }
        }
        if (takes.Select(t => (t.Kind, t.Id)).Distinct().Count() != takes.Count)
            faults.Add(new("/lines", "Every line once."));
        if (faults.Count > 0)
            throw new InputException(faults);
        items.PutTogether(changes, by, jobId);
    }

    /// <summary>As people call it.</summary>
    public static string NameOf(DrawerRow row) => Name(row.Kind, JsonNode.Parse(row.Content));

    private static IEnumerable<DrawerChangeTold> Told(IReadOnlyList<DrawerEvent> events)
    {
        var before = new Dictionary<(string, string), JsonNode?>();
        foreach (var e in events)
        {
            var key = (e.Kind, e.ItemId);
            var was = before.GetValueOrDefault(key);
            var now = e.Content is null ? null : JsonNode.Parse(e.Content);
            before[key] = now;
            double? had = Amount(e.Kind, was),
                left = Amount(e.Kind, now);
            // what is gone was taken whole
            double? change =
                now is null ? -had
                : had is null && e.JobId is null ? null
                : left - (had ?? 0);
            yield return new(
                e.Kind,
                e.ItemId,
                Name(e.Kind, now ?? was),
                Unit(e.Kind, now ?? was),
                What(e, was, now, change),
                change is null ? null : Math.Round(change.Value, 3),
                left,
                e.By,
                e.At,
                e.JobId
            );
        }
    }

    private static string What(DrawerEvent e, JsonNode? was, JsonNode? now, double? change)
    {
        if (e.JobId is not null)
            return change > 0 ? "laid in" : "used";
        if (now is null)
            return "taken out";
        if (was is null)
            return "added";
        var counted = was.DeepClone();
        if (AmountField(e.Kind) is { } field)
            counted[field] = now[field]?.DeepClone();
        return JsonNode.DeepEquals(counted, now) ? "counted" : "changed";
    }

    private static string? AmountField(string kind) =>
        kind switch
        {
            "pad" or "screw" => "count",
            "paste" => "gramsLeft",
            "consumable" => "amount",
            _ => null,
        };

    private static double? Amount(string kind, JsonNode? item) =>
        item is not null && AmountField(kind) is { } field ? (double?)item[field] : null;

    private static string Unit(string kind, JsonNode? item) =>
        kind switch
        {
            "paste" => "g",
            "consumable" => (string?)item?["unit"] ?? "",
            _ => "",
        };

    private static string Name(string kind, JsonNode? item) =>
        item is null
            ? ""
            : kind switch
            {
                "pad" => Invariant(
                    $"{item["material"]} {(double?)item["thicknessMm"]:0.0#} mm, {(double?)item["widthMm"]:0.#} × {(double?)item["depthMm"]:0.#}"
                ),
                "paste" => $"{item["material"]?["id"]}, {item["id"]}",
                "screw" => Invariant($"{item["thread"]} × {(double?)item["lengthMm"]:0.#}"),
                _ => (string?)item["name"] ?? (string?)item["id"] ?? "",
            };
}
