namespace FaithfulBracket.Server.Events;

/// <summary>What can be told to the shop's other tools.</summary>
internal static class EventKinds
{
    public const string Opened = "job.opened",
        Finished = "job.finished",
        Late = "job.late",
        Low = "inventory.low",
        Test = "test";

    /// <summary>Those that can be chosen; a test is sent whatever is.</summary>
    public static readonly IReadOnlyList<string> All = [Opened, Finished, Late, Low];
}
