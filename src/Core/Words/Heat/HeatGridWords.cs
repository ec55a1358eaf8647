namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of heat grid.</summary>
internal static class HeatGridWords
{
    public static Message PlateIsTooLargeForCells => $"The plate is too large for cells this small: take larger ones.";
}
