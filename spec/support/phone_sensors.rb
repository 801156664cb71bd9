# frozen_string_literal: true

# A phone's sensors in a browser, made up: still until the page says go (window.setOff), then the samples of a set.
module PhoneSensors
  SCRIPT = <<~JS
    const samples = arguments[0];
    const fire = ([, x, y, z, alpha, beta, gamma]) =>
      window.dispatchEvent(new DeviceMotionEvent("devicemotion", {
        accelerationIncludingGravity: { x, y, z }, rotationRate: { alpha, beta, gamma }, interval: 20,
      }));
    DeviceMotionEvent.requestPermission = () => Promise.resolve("granted");
    window.setOff = null;
    let at = 0;
    setInterval(() => {
      if (window.setOff === null) return fire(samples[0]);
      const now = (performance.now() - window.setOff) / 1000;
      while (at < samples.length - 1 && samples[at][0] <= now) at += 1;
      fire(samples[at]);
    }, 20);
  JS
end
