namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of seat plan.</summary>
internal static class SeatPlanWords
{
    public static Message ThisBlockIsMadeForBare =>
        $"This block is made for bare dies: on the lid it stands too high and presses wrong.";
}
