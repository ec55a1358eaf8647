using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Match;

/// <summary>What is signed at Match: the verdict was read and accepted.</summary>
public static class MatchSteps
{
    public static StationPlan Of(JobContext c, JobPlan plan)
    {
        if (plan.Fit is not { } fit)
            return new(Station.Match, "choose a block", true, []);
        var trouble = fit.Verdict is Verdict.Clashes or Verdict.Unproven;
        var read = new WorkStep
        {
            Id = "match.verdict",
            Station = Station.Match,
            Title = trouble
                ? $"Read the verdict on {c.Block!.Maker} {c.Block.Model} and choose another block, or sign knowing it"
                : $"Read the verdict on {c.Block!.Maker} {c.Block.Model} and accept it",
            Detail = fit.Reasons[0].Text,
            Caution = trouble ? "A block that does not seat can crack the die or bend the board." : null,
            Done = "Accept this block",
            Targets = [.. fit.Reasons[0].Refs],
        };
        var label = new WorkStep
        {
            Id = "match.label",
            Station = Station.Match,
            Title = $"Compare the label on the card with {c.Board.BoardCode} {c.Board.Revision}",
            Detail = "Board code and revision, not the model name: one model is sold on several boards.",
            Done = "The label agrees",
        };
        return new(Station.Match, fit.Summary, trouble, [label, read]);
    }
}
