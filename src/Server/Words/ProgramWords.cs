namespace FaithfulBracket.Server.Words;

/// <summary>Sentences of program.</summary>
internal static class ProgramWords
{
    public const string MatchingPlanningSimulatingAndRecording =
        "Matching, planning, simulating and recording of water block fits.";
}
