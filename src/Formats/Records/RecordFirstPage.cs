using System.Globalization;
using System.Text;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Formats.Records;

/// <summary>The shop as a record names it.</summary>
/// <param name="Mark">A small picture; null without one.</param>
public sealed record RecordShop(string Name, string Contact, byte[]? Mark, string? MarkType);

/// <summary>One page that a client reads: what was done, what it runs at, what to do when.</summary>
internal static class RecordFirstPage
{
    /// <summary>Warmer than on this page by more than this, at the same load, is worth a call, K.</summary>
    private const int WorthACallK = 5;

    /// <summary>Drawn, so that it does not stand between the words when the page's text is read.</summary>
    private const string Stamp =
        "<svg class=stamp aria-hidden=true viewBox=\"0 0 300 70\" fill=none stroke=#852a58 stroke-width=9>"
        + "<path d=\"M10 8V62H28Q50 62 50 35T28 8ZM70 62V8H92Q108 8 108 22T92 36H70M88 36L110 62M126 62L148 8L170 62M134 44H162"
        + "M190 62V8H226M190 34H220M240 8H290M265 8V62\"/></svg>";

    public static void Head(StringBuilder s, RecordJob job)
    {
        var shop = job.Shop;
        if (shop is null || (shop.Name is "" && shop.Contact is "" && shop.Mark is null))
            return;
        s.Append("<header>");
        if (shop is { Mark: { } mark, MarkType: { } type })
            s.Append($"<img class=mark alt=\"\" src=\"data:{type};base64,{Convert.ToBase64String(mark)}\">");
        s.Append($"<div><b><bdi>{BuildRecord.E(shop.Name)}</bdi></b>")
            .AppendJoin(
                "",
                shop.Contact.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
                    .Select(line => $"<br><bdi>{BuildRecord.E(line)}</bdi>")
            )
            .Append("</div></header>");
    }

    /// <summary>Until the last signature it is a draft, on every page that is printed.</summary>
    public static void Draft(StringBuilder s, RecordJob job)
    {
        var handOver = new StepId(Station.Care, null, "hand-over").ToString();
        if (job.Signed.ContainsKey(handOver))
            return;
        var all = job.Plan.Steps.Count();
        s.Append(
            $"<p class=draft><b>Draft</b>: {all - job.Plan.Steps.Count(x => job.Signed.ContainsKey(x.Id.ToString()))} of {all} steps are not signed yet.</p>{Stamp}"
        );
    }

    public static void Done(StringBuilder s, RecordJob job)
    {
        // what nobody signed yet is not told as done
        var mounted = job.Plan.Mount.Sheet.Steps.All(x => job.Signed.ContainsKey(x.Id.ToString()));
        var planned = mounted ? "" : "Planned: ";
        s.Append("<h2>What was done</h2><ul>");
        foreach (
            var pads in job
                .Plan.Pads.Pads.GroupBy(p => (p.ThicknessMm, p.Material))
                .OrderByDescending(g => g.Count())
                .ThenBy(g => g.Key.Material, StringComparer.Ordinal)
        )
            s.Append(
                CultureInfo.InvariantCulture,
                $"<li>{planned}{HowMany.Count(pads.Count(), "pad")} of {pads.Key.ThicknessMm:0.0#} mm {E(pads.Key.Material)}, new."
            );
        foreach (var paste in job.Plan.Paste.Faces.GroupBy(f => f.PasteId))
            s.Append(
                $"<li>{planned}paste {E(paste.Key)} on {E(string.Join(", ", paste.Select(f => f.Part).Distinct()))}."
            );
        if (job.LeakTests.Count > 0)
            s.Append($"<li>Leak test: {E(job.LeakTests[^1])}");
        if (job.Signed.Count > 0)
        {
            var by = string.Join(", ", job.Signed.Values.Select(x => x.By).Distinct().Order());
            s.Append(
                $"<li>{job.Signed.Count} of {job.Plan.Steps.Count()} steps signed by {E(by)}, the last on {E(job.Times.Moment(job.Signed.Values.Max(x => x.At)!))}."
            );
        }
        s.Append("</ul>");
    }

    public static void RunsAt(StringBuilder s, RecordJob job)
    {
        s.Append("<h2>What it runs at</h2>");
        var proofs = job.Plan.Prove.Pairs.Where(p => p.Comparison.Why.Count > 0).ToList();
        if (proofs.Count == 0)
            s.Append("<p>Not measured.</p>");
        foreach (var proof in proofs)
        {
            var on = job.Order.Pieces.Count > 1 ? $" on board {E(proof.Board)}" : "";
            s.Append($"<p><b>Proof{on}: {E(proof.Comparison.Verdict)}</b></p>");
            if (proof.Trial is { } trial)
                s.Append($"<p>{E(trial.Sentence)}</p>{TrialSvg.Draw(trial)}");
            if (proof.Comparison.Sensors.Count > 0)
                s.Append("<table><tr><th>Sensor<th class=n>Measured, °C<th class=n>Expected, °C<th>")
                    .AppendJoin("", proof.Comparison.Sensors.Select(Row))
                    .Append("</table>");
        }
        var sources = job.Readings.Select(r => r.Source).Distinct().ToList();
        if (sources.Count > 0)
            s.Append($"<p>Read: {E(string.Join("; ", sources))}.</p>");
    }

    private static string Row(SensorProof p) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"<tr><td>{E(p.Name)} {E(p.Part)}<td class=n>{p.MeasuredC:0.0} ± {p.MeasuredPlusMinusK:0.0}<td class=n>{p.ExpectedC:0.0} ± {p.ExpectedPlusMinusK:0.0}<td>{E(p.Said)}"
        );

    public static void WhatToDo(StringBuilder s, RecordJob job)
    {
        s.Append("<h2>What to do, and when</h2><ul>");
        if (job.Care is { } care)
        {
            s.Append($"<li>{E(care.Text)}");
            if (care.Inspections.Count > 0)
                s.Append("<li>Look at the loop on ")
                    .AppendJoin(
                        ", ",
                        care.Inspections.Select(d => d.ToString("d MMM yyyy", CultureInfo.InvariantCulture))
                    )
                    .Append(": coolant clear and full, joints dry, fins free.");
        }
        s.Append($"<li>More than {WorthACallK} K warmer than here at the same load: ask the shop.")
            .Append("<li>A drop under a joint, or coolant gone: switch off, unplug, do not open it. Then ask the shop.")
            .Append("<li>The maker's manuals come first. Whoever opens it works unplugged and drained.</ul>");
    }

    private static string E(string text) => BuildRecord.E(text);
}
