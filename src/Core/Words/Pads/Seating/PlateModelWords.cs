namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of plate model.</summary>
internal static class PlateModelWords
{
    public static Message HasNoPadLand(string part) =>
        $"\"{part}\" has no pad land under this block: take the pad off the list.";

    public static Message HeightOfIsNotKnownYet(string die) =>
        $"The height of {die} is not known yet: nothing fixes the block's height.";

    public static Message NothingFixesBlocksHeight =>
        $"Nothing fixes the block's height: no paste land lies over a die and no standoff is given.";
}
