# frozen_string_literal: true

RSpec.describe Norvel::Layout::Face do
  def face(name)
    described_class.new(File.join(Norvel::Layout::Fonts::FOLDER, name))
  end

  # Carlito has no U+0300, which Caladea has; Caladea has no U+0180, which Carlito has: each asks the other.
  it "is measured by two threads at once though each needs the face that the other measures" do
    20.times do
      pair = [face("Carlito-Regular.ttf"), face("Caladea-Regular.ttf")]
      stub_const("Norvel::Layout::Fonts::FALLBACKS", pair)
      both = Queue.new
      allow(Norvel::Layout::Fonts).to receive(:face_with).and_wrap_original do |own, *given|
        both << true
        sleep 0.001 until both.size == 2
        own.call(*given)
      end
      threads = pair.zip(["\u0300", "\u0180"]).map { |one, sign| Thread.new { one.advance(sign) } }
      expect(threads.map { |thread| thread.join(5) }).to all be_a(Thread)
    end
  end

  it "measures what the face lacks as the face does that has it" do
    expect(face("Caladea-Regular.ttf").advance("\u0180")).to eq face("Carlito-Regular.ttf").advance("\u0180")
  end
end
