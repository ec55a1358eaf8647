namespace FaithfulBracket.Core.Words.Schedule;

/// <summary>Sentences of day grid.</summary>
internal static class DayGridWords
{
    public static Message IsNotOperationOfThisDay(string name) => $"\"{name}\" is not an operation of this day.";

    public static Message ItNeedsPairsOfHands(int needed, int present) =>
        $"It needs {needed} pairs of hands; the day has {present}.";

    public static Message IsNotToolOfThisDay(string tool) => $"\"{tool}\" is not a tool of this day.";

    public static Message WaitsForSomethingThatWaits(string job, string of) =>
        $"{job}/{of} waits for something that waits for it.";

    public static Message MoreHasBegunAtOnce => $"More has begun at once than there are hands.";

    public static Message MoreHasBegunAtOnceThanThere(string tool) =>
        $"More has begun at once than there are tools \"{tool}\".";
}
