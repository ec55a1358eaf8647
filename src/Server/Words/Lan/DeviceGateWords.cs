namespace FaithfulBracket.Server.Words.Lan;

/// <summary>Sentences of device gate.</summary>
internal static class DeviceGateWords
{
    public const string OnlyHTTPSIsAnsweredFromOther = "Only HTTPS is answered from other machines: start with --lan.";

    public const string ThisDeviceIsNotPaired =
        "This device is not paired with the shop, or was shut out. Pair it: Settings on the shop's own machine "
        + "shows a code.";
}
