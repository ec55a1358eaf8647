using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Formats.Documents;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A height or a kind that nobody knows yet is a value: nothing is calculated from it, and no verdict hides it.</summary>
public class UnknownPartTests
{
    private static Board With(string part, Func<Part, Part> changed) =>
        Sample.Board() with
        {
            Parts = [.. Sample.Board().Parts.Select(p => p.Id == part ? changed(p) : p)],
        };

    private static Part Unmeasured(Part p) => p with { StatedHeightMm = null };

    [Fact]
    public void A_part_without_a_height_leaves_the_verdict_unproven_and_is_named()
    {
        Assert.Equal(Verdict.Seats, Fit.Judge(Sample.Board(), Sample.Block()).Verdict);
        var board = With("M1", Unmeasured);
        var fit = Fit.Judge(board, Sample.Block());
        Assert.Equal(Verdict.Unproven, fit.Verdict);
        Assert.Equal(("unknown-parts", "M1"), (fit.Reasons[0].Code, Assert.Single(fit.Reasons[0].Refs)));
        Assert.Equal("unproven: 1 part without a height or a kind", fit.Summary);
        // it has its land: it is not bare, and its gap is not told
        Assert.Empty(fit.Uncovered);
        var gaps = Compute.Gaps(board, Sample.Block(), Sample.Materials);
        Assert.Equal(["M2", "U1"], gaps.Pairs.Select(g => g.Part).Order());
        Assert.Equal(Verdict.Unproven, gaps.Verdict);
        Assert.Equal("unknown-parts", Assert.Single(gaps.Reasons!).Code);
        Assert.Null(Compute.Gaps(Sample.Board(), Sample.Block(), Sample.Materials).Verdict);
    }

    [Fact]
    public void A_die_without_a_height_fixes_nothing_and_clashes_with_nothing()
    {
        var fit = Fit.Judge(With("U1", Unmeasured), Sample.Block());
        Assert.Equal((Verdict.Unproven, null), (fit.Verdict, fit.PlaneMm));
        Assert.DoesNotContain(fit.Reasons, r => r.Code == "no-plane");
    }

    [Fact]
    public void A_part_of_unknown_kind_is_as_unproven_and_what_clashes_still_clashes()
    {
        var board = With("M1", p => p with { Kind = PartKind.Unknown });
        Assert.Equal(Verdict.Unproven, Fit.Judge(board, Sample.Block()).Verdict);
        var tall = With("M1", p => p with { Kind = PartKind.Unknown, HeightMm = 9 });
        Assert.Equal(Verdict.Clashes, Fit.Judge(tall, Sample.Block()).Verdict);
        // a whole job is planned all the same
        var plan = JobPlanner.Plan(new() { Order = WorkOrder.Plain(With("M1", Unmeasured), Sample.Block()) });
        Assert.Equal(Verdict.Unproven, plan.Match.Order!.Verdict);
        Assert.True(plan.Match.Sheet.Trouble);
    }

    [Fact]
    public void A_document_keeps_what_is_not_known()
    {
        var board = With("M1", p => Unmeasured(p) with { Kind = PartKind.Unknown });
        var text = System.Text.Encoding.UTF8.GetString(DocumentWriter.Write(board));
        Assert.Contains("\"heightMm\": null", text, StringComparison.Ordinal);
        var read = BoardReader.Read(DocumentWriter.Write(board)).FindPart("M1")!;
        Assert.Equal((PartKind.Unknown, true, (double?)null), (read.Kind, read.HeightUnknown, read.StatedHeightMm));
        Assert.Equal(2.1, BoardReader.Read(DocumentWriter.Write(board)).FindPart("U1")!.HeightMm);
    }
}
