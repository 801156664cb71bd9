# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Plausibility do
  names = %w[slide_back slide_seat curl_plain curl_slide curl_shin lie_flat lie_hinged]

  def remarks(name, **changed)
    data = Worked::MACHINES.fetch(name)
    constants = data["constants"].to_h { |key, value| [key, value + changed.fetch(key.to_sym, 0)] }
    described_class.of(Verglas::Machines::Reader.read(data.merge("constants" => constants)))
  end

  names.each do |name|
    it "finds nothing to ask about on #{name}" do
      expect(remarks(name)).to be_empty
    end
  end

  # A hand's width read wrong, constant by constant, on the plain curl: the remark names what to read again.
  {
    back_face: 120,
    pivot_above_seat: 60,
    seat_edge: 100,
    roller_reach: 120,
    thigh_pad_front: 80,
    thigh_pad_height: 60
  }.each do |constant, slip|
    it "asks again about a #{constant} which is #{slip} mm too large or too small" do
      [slip, -slip].each do |by|
        next if constant == :seat_edge && by.negative? # a longer gap behind the knee is told on a curl, never graded

        expect(remarks("curl_plain", constant => by).flat_map(&:constants)).to include(constant), by.to_s
      end
    end
  end

  it "says of how many people a finding would be off, and how far at the least" do
    remark =
      remarks("slide_back", pivot_above_seat: 60).find do |one|
        one.code == :fits_few && one.params[:finding] == :offset
      end
    expect(remark.params).to include(off: 10, tried: 10)
    expect(remark.params[:least]).to be_positive
  end

  it "sees an arc that runs backwards and a seat behind its back" do
    expect(remarks("curl_plain", start_angle: 60, end_angle: -40).map(&:code)).to include(:arc_backwards)
    expect(remarks("slide_back", seat_edge: -300).map(&:code)).to include(:seat_behind_back)
  end

  it "asks about what is taped while the rest is not" do
    data = Worked::MACHINES["curl_plain"]
    half =
      Verglas::Machines::Reader.read_known(
        data.merge("constants" => data["constants"].merge("roller_reach" => nil, "pivot_above_seat" => 126))
      )
    expect(described_class.of(half).map(&:constants)).to include([:pivot_above_seat])
  end
end
