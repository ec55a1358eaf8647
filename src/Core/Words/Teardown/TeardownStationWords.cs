namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of teardown station.</summary>
internal static class TeardownStationWords
{
    public const string NothingIsPlugged = "Nothing is plugged in";

    public const string LookThatNothingIsPlugged = "Check that nothing is plugged in, and put the wrist strap on";

    public const string StrapsCordEndsOnEarthedMetal =
        "The strap's cord ends on earthed metal, and the board lies on its own bag or a mat.";

    public const string TouchEarthedMetalOrWearCorded =
        "Touch earthed metal or wear a corded wrist strap. A cordless strap does not protect.";

    public const string PowerIsOff = "Power is off";

    public static string TakeOutGroup(string screws, string target) => $"Take out {screws}, group {target}";

    public static string Lift(string piece) => $"Lift the {piece}";

    public const string UnpluggedAndMarked = "Unplugged and marked";

    public static string Unplug(string name) => $"Unplug the {name}";

    public static string InTray(int? stepCount) => $"{stepCount} in the tray";

    public const string SwitchOffUnplugThenPressSwitch =
        "Switch off, unplug, then press the power switch to discharge the board";

    public const string PowerSuppliesAreNeverOpened = "Power supplies are never opened: that is licensed work.";
}
