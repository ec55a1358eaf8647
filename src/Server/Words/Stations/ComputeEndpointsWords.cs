namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of compute endpoints.</summary>
internal static class ComputeEndpointsWords
{
    public static string LimitsGroupsLeadsAndPiecesTogether(int maxActs) =>
        $"Limits: {maxActs} groups, leads and pieces together.";

    public const string LimitsBodyOfMiBAndThose =
        "Limits: a body of 4 MiB, and those of the board and block documents.";

    public const string AtMostTwoComputationsRun =
        "At most two computations run at once; a waiting one answers with the header Queued-Behind, past 32 "
        + "waiting it is 503.";
}
