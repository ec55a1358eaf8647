namespace FaithfulBracket.Core.Orders;

/// <summary>The nine stations a job goes through, in working order.</summary>
public enum Station
{
    Match,
    Kit,
    Teardown,
    Prep,
    Pads,
    Paste,
    Mount,
    Prove,
    Care,
}
