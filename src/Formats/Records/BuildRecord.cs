using System.Globalization;
using System.Net;
using System.Text;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Formats.Records;

public sealed record RecordSignature(string By, string At, long? Count, string? OverrideReason);

/// <param name="Content">Null when the picture's file is gone.</param>
public sealed record RecordPhoto(string MediaType, byte[]? Content, string At);

public sealed record RecordJob(
    long Id,
    string Title,
    string? Client,
    WorkOrder Order,
    JobPlan Plan,
    IReadOnlyDictionary<string, RecordSignature> Signed,
    IReadOnlyList<string> Notes,
    IReadOnlyList<RecordPhoto> Photos
)
{
    /// <summary>Leak tests in sentences.</summary>
    public IReadOnlyList<string> LeakTests { get; init; } = [];

    /// <summary>When it is due, and what the drift says; null where nothing is told.</summary>
    public CareDates? Care { get; init; }
}

/// <summary>The build record: one page that needs nothing else, for the client and for the day the card goes back to stock.</summary>
public static class BuildRecord
{
    private const string Style = """
        body{font:15px/1.45 "Atkinson Hyperlegible Next","Atkinson Hyperlegible",Verdana,sans-serif;color:#1d2a2e;background:#fbf8f1;max-width:190mm;margin:12mm auto;padding:0 6mm}
        h1{font-size:26px;margin:0}h2{font-size:17px;border-bottom:2px solid #a8572b;margin:22px 0 6px}table{border-collapse:collapse;width:100%}
        td,th{padding:3px 8px 3px 0;text-align:left;vertical-align:top;border-bottom:1px solid #d9d2c2}th{font-weight:600;color:#4b5a5c}.n{text-align:right;font-variant-numeric:tabular-nums}
        .who{color:#17727c;font-weight:700;white-space:nowrap}.open{color:#852a58}img{max-width:60mm;margin:0 4mm 4mm 0}@media print{body{margin:0}}
        """;

    public static string Html(RecordJob job)
    {
        var s = new StringBuilder();
        s.Append("<!doctype html><html lang=\"en\"><meta charset=\"utf-8\"><title>")
            .Append(E($"Build record, job {job.Id}"))
            .Append("</title><style>")
            .Append(Style)
            .Append("</style>");
        s.Append($"<h1>{E(job.Title)}</h1><p>Job {job.Id}{(job.Client is { } c ? $", for {E(c)}" : "")}.</p>");
        Subject(s, job.Order);
        if (job.Plan.Care.Kept is { } kept)
            s.Append($"<p>Stock parts: {E(kept)}</p>");
        Proof(s, job.Plan);
        if (job.LeakTests.Count > 0)
            s.Append("<h2>Leak tests</h2>").AppendJoin("", job.LeakTests.Select(t => $"<p>{E(t)}</p>"));
        Due(s, job.Care);
        Pads(s, job.Plan);
        foreach (var station in job.Plan.Stations.Where(x => x.Steps.Count > 0))
            StationTable(s, station, job.Signed);
        Restore(s, job.Plan);
        if (job.Notes.Count > 0)
            s.Append("<h2>Notes</h2>").AppendJoin("", job.Notes.Select(n => $"<p>{E(n)}</p>"));
        if (job.Photos.Count > 0)
            s.Append("<h2>Photos</h2>")
                .AppendJoin(
                    "",
                    job.Photos.Select(p =>
                        p.Content is null
                            ? $"<p>The photo of {E(p.At[..10])} is missing: its file is gone from the shop's folder.</p>"
                            : $"<img alt=\"photo of {E(p.At[..10])}\" src=\"data:{p.MediaType};base64,{Convert.ToBase64String(p.Content)}\">"
                    )
                );
        return s.Append("</html>").ToString();
    }

    private static void Subject(StringBuilder s, WorkOrder order)
    {
        var kind = JobKinds.Words(JobKinds.Of(order));
        s.Append($"<p>{E(char.ToUpperInvariant(kind[0]) + kind[1..])}.</p>");
        if (order.Machine is { } machine)
            s.Append(
                $"<p>Machine: {E(machine.Name)}; {E(string.Join(", ", machine.Cards.Select(c => $"card {c.Key} in slot {c.Slot}")))}.</p>"
            );
        foreach (var p in order.Pieces)
            s.Append(
                $"<p>Board{(order.Pieces.Count > 1 ? $" {E(p.Key)}" : "")}: {E(p.Board.Maker)} {E(p.Board.Model)}, {E(BoardLabel.Of(p.Board))}.</p>"
            );
        foreach (var p in order.Pairs)
            s.Append(
                $"<p>Block{(order.Pairs.Count > 1 ? $" {E(p.Key)}" : "")}: {E(p.Block.Maker)} {E(p.Block.Model)}{(p.Block.ManualRevision is { } m ? $", manual revision {E(m)}" : "")}{Where(order, p)}.</p>"
            );
    }

    /// <summary>Which board a block lies on, where there are several.</summary>
    private static string Where(WorkOrder order, Pair pair) =>
        order.Pieces.Count > 1 && pair.BoardKeys(order) is { Count: > 0 } on
            ? $", on {E(string.Join(" and ", on))}"
            : "";

    private static void Due(StringBuilder s, CareDates? care)
    {
        if (care is null)
            return;
        s.Append("<h2>When to look again</h2><p>").Append(E(care.Text)).Append("</p>");
        if (care.Inspections.Count > 0)
            s.Append("<p>Look at the loop on ")
                .AppendJoin(", ", care.Inspections.Select(d => d.ToString("d MMM yyyy", CultureInfo.InvariantCulture)))
                .Append(".</p>");
    }

    private static void Proof(StringBuilder s, JobPlan plan)
    {
        foreach (var proof in plan.Prove.Pairs.Where(p => p.Comparison.Why.Count > 0))
            s.Append($"<h2>Proof: {E(proof.Comparison.Verdict)}</h2>")
                .AppendJoin("", proof.Comparison.Why.Select(w => $"<p>{E(w)}</p>"));
    }

    private static void Pads(StringBuilder s, JobPlan plan)
    {
        var pads = plan.Pads.Pads.ToList();
        if (pads.Count == 0)
            return;
        s.Append(
            "<h2>Pads and paste</h2><table><tr><th>Letter<th>Part<th class=n>mm<th>Material<th class=n>Size, mm<th class=n>Squash, %"
        );
        foreach (var p in pads)
            s.Append(
                CultureInfo.InvariantCulture,
                $"<tr><td>{E(p.Letter)}<td>{E(p.Part)}<td class=n>{p.ThicknessMm:0.0#}<td>{E(p.Material)}<td class=n>{p.WidthMm:0.#} × {p.DepthMm:0.#}<td class=n>{(p.Fit is { } f ? FormattableString.Invariant($"{f.SquashMin * 100:0}–{f.SquashMax * 100:0}") : "")}"
            );
        s.Append("</table>");
        foreach (var f in plan.Paste.Faces)
            s.Append(
                CultureInfo.InvariantCulture,
                $"<p>{E(f.Part)}: {f.Amount.MassG:0.00} g, film {f.Amount.BondLineUm:0} µm, {f.Method.ToString().ToLowerInvariant()}.</p>"
            );
    }

    private static void StationTable(
        StringBuilder s,
        StationPlan station,
        IReadOnlyDictionary<string, RecordSignature> signed
    )
    {
        s.Append($"<h2>{station.Station}</h2><table>");
        foreach (var step in station.Steps)
        {
            var mark = signed.TryGetValue(step.Id.ToString(), out var who)
                ? $"<td class=who>{E(who.By)} {E(who.At[..10])} {E(who.At[11..16])}"
                : "<td class=open>open";
            s.Append(
                $"<tr><td>{E(step.Title)}{(who?.OverrideReason is { } r ? $"<br>Signed in spite of a lock: {E(r)}" : "")}{mark}"
            );
        }
        s.Append("</table>");
    }

    private static void Restore(StringBuilder s, JobPlan plan)
    {
        if (plan.Teardown.Boards.Count == 0)
            return;
        s.Append("<h2>Back to stock</h2><table><tr><th>Step<th>Driver<th>Tray cell<th class=n>Count");
        foreach (var r in plan.Teardown.Boards.AsEnumerable().Reverse().SelectMany(b => b.Plan.Restore))
            s.Append(
                $"<tr><td>{Verb(r.Action)} {E(r.Name)}<td>{E(r.Driver ?? "")}<td>{E(r.Cell ?? "")}<td class=n>{r.Count}"
            );
        s.Append("</table>");
    }

    private static string Verb(RestoreAction action) =>
        action switch
        {
            RestoreAction.Fasten => "fasten",
            RestoreAction.Plug => "plug",
            _ => "set",
        };

    private static string E(string text) => WebUtility.HtmlEncode(text);
}
