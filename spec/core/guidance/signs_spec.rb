# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Signs do
  def of(fixture) = described_class.of(Worked.machine(fixture))
  def causes(fixture, sign) = described_class.causes(Worked.machine(fixture), sign).map(&:name)

  it "offers each family the signs that can be seen on it" do
    expect(of("slide_back")).to include(:roller_climbs, :gap_behind_knee, :hips_lift)
    expect(of("slide_back")).not_to include(:pad_on_kneecap, :numb_thigh, :calf_burns, :hips_rise)
    expect(of("curl_plain")).to include(:pad_on_kneecap, :numb_thigh, :calf_burns, :upper_body_rocks)
    expect(of("curl_shin")).to include(:calf_burns, :upper_body_rocks)
    expect(of("curl_shin")).not_to include(:pad_on_kneecap, :numb_thigh)
    expect(of("lie_flat")).to include(:roller_climbs, :hips_rise)
    expect(of("lie_flat")).not_to include(:gap_behind_knee, :hips_lift)
  end

  it "blames a thigh pad only where there is one" do
    expect(causes("curl_plain", :hips_lift)).to eq(%i[no_belt thigh_pad_loose load_high])
    expect(causes("slide_back", :hips_lift)).to eq(%i[no_belt load_high])
  end

  it "tells a client who sits from one who lies" do
    expect(causes("slide_back", :roller_climbs)).to eq(%i[knee_ahead knee_above])
    expect(causes("lie_flat", :roller_climbs)).to eq(%i[lies_past lies_below])
  end

  it "gives every cause a side where a number speaks for it, and only there" do
    described_class::ALL.each_value do |sign|
      sign.causes.each { |cause| expect([true, false].include?(cause.over)).to eq(cause.measured?), cause.name.to_s }
    end
  end

  it "has at least one cause for every sign on every family that has the sign" do
    %w[slide_back slide_seat curl_plain curl_slide curl_shin lie_flat lie_hinged].each do |fixture|
      of(fixture).each { |sign| expect(causes(fixture, sign)).not_to be_empty, "#{fixture} #{sign}" }
    end
  end
end
