namespace FaithfulBracket.Core.Words.Care;

/// <summary>Sentences of care dates.</summary>
internal static class CareDatesWords
{
    public static Message NoFaceTookPaste =>
        $"No face took paste: nothing is renewed by the calendar. Look at the loop yearly.";

    public static Message RepasteOnMonthsByPastesKind(string date, int months) =>
        $"Repaste on {date}, {months} months by the paste's kind. Proved again on another day, its drift tells it "
        + $"better.";

    public static Message ProofsDueSinceLastOfThem(int markCount, string rise, string date) =>
        $"{markCount} proofs, {rise}: due since the last of them, {date}. Repaste now.";

    public static Message ProofsLineDoesNotReachLimit(int markCount, string rise, string date) =>
        $"{markCount} proofs, {rise}: the line does not reach its limit first. Repaste on {date}, by the paste's "
        + $"kind.";

    public static Message ProofsRepasteOn(int markCount, string rise, string due, string earliest, string latest) =>
        $"{markCount} proofs, {rise}: repaste on {due}, between {earliest} and {latest} with 90 %.";
}
